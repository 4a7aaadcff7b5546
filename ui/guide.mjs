import MarkdownIt from 'markdown-it'

/** Makes HTML of the guide's pages: their pictures become files of the build, and a link to a page leads to its route. */
export function guide() {
  const markdown = new MarkdownIt()
  markdown.renderer.rules.link_open = (tokens, index, options, _, renderer) => {
    const [, page, place] = /^([\w-]*)\.md(#.*)?$/.exec(tokens[index].attrGet('href')) ?? []
    if (page) {
      tokens[index].attrSet('href', `/guide/${page === 'README' ? '' : page}${place ?? ''}`)
    } else if (!/^(https?:|#)/.test(tokens[index].attrGet('href'))) {
      // What is said elsewhere in the documents is not part of the application.
      tokens[index].attrs = []
    }
    return renderer.renderToken(tokens, index, options)
  }
  markdown.renderer.rules.heading_open = (tokens, index, options, _, renderer) => {
    const words = tokens[index + 1].content.toLowerCase().match(/[\p{L}\d]+/gu) ?? []
    tokens[index].attrSet('id', words.join('-'))
    return renderer.renderToken(tokens, index, options)
  }
  return {
    name: 'guide',
    transform(text, id) {
      if (!id.endsWith('.md')) return undefined
      const [first, ...others] = markdown.render(text).split(/<img src="([^"]+)"/)
      const pictures = others.filter((_, i) => i % 2 === 0)
      const between = others.filter((_, i) => i % 2 === 1)
      const imports = pictures.map((source, i) => `import picture${i} from ${JSON.stringify(source)}`)
      const parts = between.map((html, i) => ` + '<img src="' + picture${i} + '"' + ${JSON.stringify(html)}`)
      return {
        code: [...imports, `export default ${JSON.stringify(first)}${parts.join('')}`].join('\n'),
        moduleType: 'js',
      }
    },
  }
}
