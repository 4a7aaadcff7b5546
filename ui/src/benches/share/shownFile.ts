import type { Size } from '@/api/types'

/** A file as it is: the one that would be delivered now, or one that was. */
export interface ShownFile {
  url: string
  title: string
  size: Size
  facts: string
}
