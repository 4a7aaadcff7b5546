<script setup lang="ts">
import {
  mdiCardTextOutline,
  mdiChevronDown,
  mdiContentPaste,
  mdiFolderOutline,
  mdiImagePlusOutline,
  mdiSquareOutline,
} from '@mdi/js'
import { computed, ref, watch } from 'vue'
import FileChooser from '@/gather/FileChooser.vue'
import { gatherInto, replaceIn } from '@/gather/gather'
import { gathering } from '@/gather/gathering'
import type { Gatherable } from '@/gather/gatherable'
import type { Action } from '@/parts/action'
import { useArranging } from './arranging'
import { useAsking } from './asking'
import { clip } from './clip'
import DropMenu from '@/parts/DropMenu.vue'
import { NO_FILE } from '@/parts/lettering'
import { useReel } from '@/reel/store'
import ActionList from '@/parts/ActionList.vue'

/** All that can be put in, after the selection. */
const LONG_ENOUGH_TO_SEE = 100

const store = useReel()
const arranging = useArranging()
const asking = useAsking()
const chooser = ref<InstanceType<typeof FileChooser> | null>(null)

const ways = computed<Action[][]>(() => [
  [
    { label: 'Stills…', icon: mdiImagePlusOutline, enabled: true, run: () => chooser.value?.chooseFiles() },
    { label: 'A folder of stills…', icon: mdiFolderOutline, enabled: true, run: () => chooser.value?.chooseFolder() },
  ],
  [
    { label: 'Title cards…', icon: mdiCardTextOutline, enabled: true, run: () => asking.card(false) },
    { label: 'Empty frame', icon: mdiSquareOutline, enabled: true, run: addEmpty },
  ],
  [
    {
      label: 'What was copied',
      icon: mdiContentPaste,
      keys: 'Ctrl + V',
      enabled: clip.value !== null,
      run: () => arranging.paste(),
    },
  ],
])

function addEmpty(): Promise<boolean> {
  const card = {
    kind: 'card',
    background: '',
    text: '',
    typeface: 'PLAIN',
    own: NO_FILE,
    size: 48,
    color: '000000',
    align: 'CENTER',
  } as const
  return arranging.addCards([card], LONG_ENOUGH_TO_SEE)
}

watch(
  () => asking.replacing,
  (frame) => {
    if (frame !== null) chooser.value?.chooseOne()
  },
)

function take(files: Gatherable[]): void {
  const frame = asking.replacing
  asking.replacing = null
  const [first] = files
  if (frame !== null && first) {
    void replaceIn(frame, first)
  } else {
    void gatherInto(files, { reel: store.reel!.id, after: arranging.lastAffected() })
  }
}
</script>

<template>
  <drop-menu>
    <template #activator="{ props: activator }">
      <v-btn
        v-bind="activator"
        variant="outlined"
        size="small"
        :append-icon="mdiChevronDown"
        :disabled="gathering.active"
        title="Put in after the selection"
        >Add</v-btn
      >
    </template>
    <action-list :groups="ways" label="Add after the selection" />
  </drop-menu>
  <file-chooser ref="chooser" @take="take" @cancel="asking.replacing = null" />
</template>
