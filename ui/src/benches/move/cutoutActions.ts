import {
  mdiArrowDown,
  mdiArrowUp,
  mdiCogOutline,
  mdiContentCopy,
  mdiCrosshairs,
  mdiEyeOffOutline,
  mdiEyeOutline,
  mdiFormatTextVariant,
  mdiGroup,
  mdiImageMultipleOutline,
  mdiShapeOutline,
  mdiTrashCanOutline,
  mdiUngroup,
} from '@mdi/js'
import { computed } from 'vue'
import type { Action } from '@/parts/action'
import { useAsking } from './asking'
import { useMoving } from './moving'

/** All that can be done to the chosen cut-outs, in groups. */
export function useCutoutActions(addToCycle: () => void, setPivot: () => void) {
  const moving = useMoving()
  const asking = useAsking()
  const any = computed(() => moving.ids.length > 0)
  const one = computed(() => moving.ids.length === 1)
  const kind = computed(() => moving.single?.cutout.art.kind)
  const hidden = computed(() => any.value && moving.posed.every(({ cutout }) => cutout.hidden))

  return computed<Action[][]>(() => [
    [
      { label: 'Properties…', icon: mdiCogOutline, enabled: one.value, run: () => asking.open('cutout') },
      ...(kind.value === 'words' || kind.value === 'shape'
        ? [
            {
              label: kind.value === 'words' ? 'Change the words…' : 'Change the shape…',
              icon: kind.value === 'words' ? mdiFormatTextVariant : mdiShapeOutline,
              enabled: true,
              run: () => asking.art(kind.value as 'words' | 'shape', moving.ids[0] ?? null),
            },
          ]
        : []),
      {
        label: 'More pictures for its cycle…',
        icon: mdiImageMultipleOutline,
        enabled: kind.value === 'cycle',
        run: addToCycle,
      },
      { label: 'Set its pivot…', icon: mdiCrosshairs, enabled: one.value, run: setPivot },
      {
        label: 'Hide on some frames…',
        icon: mdiEyeOffOutline,
        enabled: any.value,
        run: () => asking.open('hide'),
      },
      {
        label: hidden.value ? 'Show everywhere' : 'Hide everywhere for now',
        icon: hidden.value ? mdiEyeOutline : mdiEyeOffOutline,
        enabled: any.value,
        run: () => moving.hide(!hidden.value),
      },
    ],
    [
      { label: 'Raise', icon: mdiArrowUp, enabled: one.value, run: () => moving.raise(1) },
      { label: 'Lower', icon: mdiArrowDown, enabled: one.value, run: () => moving.raise(-1) },
      { label: 'Group', icon: mdiGroup, keys: 'Ctrl + G', enabled: moving.ids.length > 1, run: moving.group },
      { label: 'Ungroup', icon: mdiUngroup, enabled: kind.value === 'group', run: moving.ungroup },
    ],
    [
      { label: 'Copy, at the same place', icon: mdiContentCopy, enabled: any.value, run: moving.copy },
      { label: 'Remove', icon: mdiTrashCanOutline, keys: 'Delete', enabled: any.value, run: moving.remove },
    ],
  ])
}
