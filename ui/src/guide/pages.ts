/** The pages of the guide, in the order in which one works; the first says how that is. */
export const PAGES = [
  { name: '', title: 'Guide' },
  { name: 'shelf', title: 'Shelf' },
  { name: 'sheet', title: 'Sheet' },
  { name: 'draw', title: 'Draw' },
  { name: 'move', title: 'Move' },
  { name: 'slim', title: 'Slim' },
  { name: 'share', title: 'Share' },
  { name: 'keys', title: 'Keys' },
] as const

const files = import.meta.glob<string>('../../../docs/guide/*.md', { import: 'default' })

/** @return a page as HTML; the first one for a name that no page has */
export async function pageHtml(name: string): Promise<string> {
  const load = files[`../../../docs/guide/${name || 'README'}.md`] ?? files['../../../docs/guide/README.md']
  return (await load?.()) ?? ''
}
