<script setup lang="ts">
import { mdiClose, mdiEyedropper, mdiFormatPaint, mdiImageOutline } from '@mdi/js'
import { answer, api } from '@/api/client'
import { say, sayProblem } from '@/ground/messages'
import PaletteFileButton from '@/parts/PaletteFileButton.vue'
import { useReel } from '@/reel/store'
import { useAsking } from './asking'
import { useDrawing } from './drawing'
import { usePens } from './pens'

/** Ways to colors, and what is done with them. */
const FROM_PICTURE = 16

/** Picks a color anywhere on the screen (WICG EyeDropper API). */
interface ScreenPicker {
  open(): Promise<{ sRGBHex: string }>
}
const Picker = (window as { EyeDropper?: new () => ScreenPicker }).EyeDropper

const store = useReel()
const drawing = useDrawing()
const pens = usePens()
const asking = useAsking()

async function fromPicture(): Promise<void> {
  const frame = drawing.frame
  if (!frame || !store.reel) {
    return
  }
  try {
    const path = { id: store.reel.id, frame: frame.id }
    const { colors } = await answer(
      api.GET('/api/reels/{id}/frames/{frame}/colors', { params: { path, query: { count: FROM_PICTURE } } }),
    )
    if (colors.length > 0) {
      await drawing.setSwatches(colors)
    }
  } catch (failure) {
    sayProblem(failure)
  }
}

async function fromFile(colors: string[], file: string): Promise<void> {
  await drawing.setSwatches(colors)
  say(`The colors come from “${file}”.`)
}

async function pickAnywhere(): Promise<void> {
  const picked = Picker ? await new Picker().open().catch(() => null) : null
  if (picked) {
    const color = picked.sRGBHex.slice(1).toLowerCase()
    drawing.use(color)
    drawing.keepSwatch(color)
  }
}
</script>

<template>
  <v-btn
    size="small"
    variant="outlined"
    :prepend-icon="mdiImageOutline"
    :disabled="!drawing.frame"
    title="The swatches become the colors this page is made of"
    @click="fromPicture"
    >Colors of this page</v-btn
  >
  <palette-file-button label="Colors from a file" @read="fromFile" />
  <v-btn
    v-if="Picker"
    size="small"
    variant="outlined"
    :prepend-icon="mdiEyedropper"
    title="Takes a color anywhere on the screen"
    @click="pickAnywhere"
    >Color off the screen</v-btn
  >
  <v-btn size="small" variant="outlined" :prepend-icon="mdiFormatPaint" @click="asking.open('recolor')"
    >Replace a color…</v-btn
  >
  <v-btn
    size="small"
    variant="outlined"
    :prepend-icon="mdiClose"
    :disabled="!store.reel?.swatches.includes(pens.pen.color)"
    @click="drawing.dropSwatch(pens.pen.color)"
    >Drop this color</v-btn
  >
</template>
