import type { Component } from 'vue'
import type { KeyGroup } from './keys'

/** A bench of a reel's page: its tab, its address, its script, and its keys for the list of keys. */
export interface Bench {
  /** In the address. */
  name: string
  label: string
  load: () => Promise<{ default: Component }>
  keys: KeyGroup[]
}
