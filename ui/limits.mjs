import { readFileSync, writeFileSync } from 'node:fs'

// Writes the limits that the server's description states of its fields, for the interface to read.
const { schemas } = JSON.parse(readFileSync('openapi.json', 'utf8')).components

const limitsOf = ({ minimum, maximum, minItems, maxItems, minLength, maxLength }) => {
  const min = minimum ?? minItems ?? minLength
  const max = maximum ?? maxItems ?? maxLength
  return max === undefined ? undefined : { min, max }
}
const entries = Object.entries(schemas).map(([schema, { properties = {} }]) => [
  schema,
  Object.fromEntries(
    Object.entries(properties).flatMap(([name, property]) => {
      const limits = limitsOf(property)
      return limits ? [[name, limits]] : []
    }),
  ),
])
const told = Object.fromEntries(entries.filter(([, fields]) => Object.keys(fields).length > 0))

writeFileSync(
  'src/api/limits.ts',
  `/** Made from openapi.json at each build: what the server takes, by schema and field. */
export const limits = ${JSON.stringify(told, null, 2)} as const
`,
)
