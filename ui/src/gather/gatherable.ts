/** A file to be read, and the folder it lay in. */
export interface Gatherable {
  file: File
  folder: string
}
