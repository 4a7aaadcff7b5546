/** What the kinds of something are called, for choosing among them. A kind without a name does not compile. */
export function listOf<Kind extends string>(titles: Record<Kind, string>): { value: Kind; title: string }[] {
  return (Object.keys(titles) as Kind[]).map((value) => ({ value, title: titles[value] }))
}
