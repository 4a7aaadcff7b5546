import { BENCHES } from '@/benches'
import type { KeyGroup } from '@/ground/keys'
import { PAGE_KEYS } from '@/page/reelKeys'

/** All keys, for the list of them. */
export const ALL_KEYS: KeyGroup[] = [
  ...PAGE_KEYS,
  ...BENCHES.flatMap((bench) => bench.keys),
  {
    title: 'Everywhere',
    keys: [
      ['Ctrl + Z', 'Undo'],
      ['Ctrl + Shift + Z', 'Redo'],
      ['?', 'This list'],
    ],
  },
]
