/** Something that becomes frames, and the folder it lay in. */
export interface Arrival {
  name: string
  folder: string
}

/** A file to be read. */
export interface Gatherable extends Arrival {
  file: File
  /** The longer side of a drawing that can have any size; its own, where this is not said. */
  side?: number
  /** Whether the layers of a layered file become one frame; else each becomes one. */
  flattened?: boolean
}

export const gatherable = (file: File, folder = ''): Gatherable => ({ name: file.name, file, folder })
