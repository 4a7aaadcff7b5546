/** The floors of src, from the ground up: each may use those before it, and none after it. */
const FLOORS = ['api', 'ground', 'parts', 'reel', 'stage', 'gather', 'page', 'shelf', 'benches', 'guide', 'app']
/** Rooms that know nothing of one another, though one floor is over the other. */
const APART = {
  page: ['stage', 'gather'],
  benches: ['page', 'shelf'],
  shelf: ['reel', 'stage', 'page'],
  gather: ['stage'],
  guide: ['api', 'reel', 'stage', 'gather', 'page', 'shelf', 'benches'],
}

const below = (floor) => FLOORS.slice(0, FLOORS.indexOf(floor)).filter((each) => !(APART[floor] ?? []).includes(each))

/** @type {import('dependency-cruiser').IConfiguration} */
export default {
  forbidden: [
    ...FLOORS.map((floor) => ({
      name: `${floor} stands on ${below(floor).join(', ') || 'nothing'}`,
      severity: 'error',
      from: { path: `^src/${floor}/` },
      to: { path: '^src/', pathNot: `^src/(${[floor, ...below(floor)].join('|')})/` },
    })),
    {
      name: 'no bench knows another',
      severity: 'error',
      from: { path: '^src/benches/([^/]+)/' },
      to: { path: '^src/benches/', pathNot: '^src/benches/$1/' },
    },
    { name: 'no circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.vue', '.mjs', '.js', '.css'],
      conditionNames: ['import', 'types', 'default'],
    },
  },
}
