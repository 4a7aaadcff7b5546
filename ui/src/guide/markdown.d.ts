/** A page of the guide, as HTML. */
declare module '*.md' {
  const html: string
  export default html
}

declare const __VERSION__: string
