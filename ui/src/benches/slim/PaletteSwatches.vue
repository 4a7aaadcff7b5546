<script setup lang="ts">
import { mdiEyedropper } from '@mdi/js'
import { computed, nextTick, ref } from 'vue'
import { limits } from '@/api/limits'
import DropMenu from '@/parts/DropMenu.vue'
import PaletteFiles from './PaletteFiles.vue'
import { useSlimming } from './slimming'

/** The palette as swatches, the darkest first, each as wide as its share but for a least width. Press one to settle it. */
interface Picker {
  open: () => Promise<{ sRGBHex: string }>
}

const slimming = useSlimming()
const swatches = computed(() => slimming.facts?.swatches ?? [])
const kept = computed(() => slimming.delivery?.encoding.keptColors ?? [])
const pressed = ref<string | null>(null)
/** The colors as they were when one was pressed: the file may be made anew meanwhile. */
let palette: string[] = []
const target = ref<HTMLElement>()
const code = ref('')
const reached = ref(0)
const root = ref<HTMLElement | null>(null)
const most = limits.Encoding.keptColors.max
/** Not every browser has one. */
const Eyedropper = (window as unknown as { EyeDropper?: new () => Picker }).EyeDropper

const open = computed({
  get: () => pressed.value !== null,
  set: (now: boolean) => {
    if (!now) pressed.value = null
  },
})
const isKept = computed(() => pressed.value !== null && kept.value.includes(pressed.value))
const room = computed(() => kept.value.length < Math.min(most, (slimming.delivery?.colors ?? 2) - 1))
const codeIsColor = computed(() => /^#?[0-9a-f]{6}$/i.test(code.value.trim()))

/** To a tenth of a percent: most colors of many are less than one. */
const shareText = (share: number): string => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`

function press(event: MouseEvent, color: string): void {
  target.value = event.currentTarget as HTMLElement
  palette = swatches.value.map((swatch) => swatch.color)
  pressed.value = color
  code.value = color
}

function keep(color: string): void {
  open.value = false
  if (!kept.value.includes(color)) {
    void slimming.changeEncoding({ keptColors: [...kept.value, color] })
  }
}

function free(color: string): void {
  open.value = false
  void slimming.changeEncoding({ keptColors: kept.value.filter((each) => each !== color) })
}

/** The palette as it is becomes one's own, changed in that color. */
function settle(color: string, replacement: string | null): void {
  open.value = false
  const own = palette
    .map((each) => (each === color ? replacement : each))
    .filter((each): each is string => each !== null)
  void slimming.takePalette([...new Set(own)].slice(0, limits.Coloring.own.max), {
    keptColors: kept.value.filter((each) => each !== color),
    palette: 'LOOP',
  })
}

async function pick(): Promise<void> {
  const picked = await new Eyedropper!().open().catch(() => null)
  if (picked) {
    keep(picked.sRGBHex.slice(1).toLowerCase())
  }
}

async function goTo(place: number): Promise<void> {
  reached.value = Math.max(0, Math.min(swatches.value.length - 1, place))
  await nextTick()
  root.value?.querySelectorAll<HTMLElement>('.swatch')[reached.value]?.focus()
}

function onKey(event: KeyboardEvent, place: number): void {
  const to = { ArrowRight: place + 1, ArrowLeft: place - 1, Home: 0, End: swatches.value.length - 1 }[event.key]
  if (to !== undefined) {
    event.preventDefault()
    void goTo(to)
  }
}
</script>

<template>
  <div class="palette">
    <div ref="root" class="swatches" role="group" aria-label="Colors of the file, the darkest first">
      <button
        v-for="(swatch, i) in swatches"
        :key="swatch.color"
        type="button"
        class="swatch"
        :class="{ kept: kept.includes(swatch.color) }"
        :tabindex="i === Math.min(reached, swatches.length - 1) ? 0 : -1"
        :style="{ background: `#${swatch.color}`, flexGrow: 1 + 60 * swatch.share }"
        :aria-label="`#${swatch.color}, ${shareText(swatch.share)} of the picture${kept.includes(swatch.color) ? ', kept exactly' : ''}`"
        :title="`#${swatch.color} · ${shareText(swatch.share)}${kept.includes(swatch.color) ? ' · kept' : ''}`"
        @click="press($event, swatch.color)"
        @keydown="onKey($event, i)"
      />
      <span v-if="swatches.length === 0" class="quiet">The colors show here once the file is made.</span>
    </div>
    <div class="row">
      <v-btn
        v-if="Eyedropper"
        size="small"
        variant="outlined"
        :prepend-icon="mdiEyedropper"
        :disabled="!room"
        title="Keep a color that you pick from the picture"
        @click="pick"
        >Pick one to keep</v-btn
      >
      <palette-files />
      <span v-if="kept.length > 0" class="quiet">{{ kept.length }} kept exactly</span>
    </div>
    <drop-menu v-model="open" :target="target" :close-on-content-click="false" location="bottom">
      <v-card v-if="pressed" class="pa-4" width="280" rounded="lg" role="dialog" :aria-label="`Color #${pressed}`">
        <h2><span class="dot" :style="{ background: `#${pressed}` }" /> #{{ pressed }}</h2>
        <div class="ways">
          <v-btn v-if="isKept" size="small" variant="outlined" @click="free(pressed)">Keep it no longer</v-btn>
          <v-btn
            v-else
            size="small"
            variant="outlined"
            :disabled="!room"
            title="This very color, whatever else changes"
            @click="keep(pressed)"
            >Keep exactly</v-btn
          >
          <v-btn
            size="small"
            variant="outlined"
            :disabled="swatches.length < 2"
            title="The palette becomes your own, without it"
            @click="settle(pressed, null)"
            >Drop</v-btn
          >
        </div>
        <form class="ways" @submit.prevent="codeIsColor && settle(pressed, code.trim().replace('#', '').toLowerCase())">
          <input
            v-model="code"
            type="text"
            class="code"
            aria-label="Replace with this color"
            maxlength="7"
            spellcheck="false"
            autocomplete="off"
          />
          <v-btn type="submit" size="small" variant="outlined" :disabled="!codeIsColor">Replace</v-btn>
        </form>
        <p class="quiet">Dropping or replacing makes the palette your own, one for the loop.</p>
      </v-card>
    </drop-menu>
  </div>
</template>

<style scoped>
.palette {
  display: grid;
  gap: 8px;
}

.swatches {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
}

.swatch {
  flex: 1 0 24px;
  min-width: 24px;
  max-width: 64px;
  height: 24px;
  border: 1px solid #0003;
  border-radius: 3px;
}

.swatch.kept {
  border: 2px solid var(--ink);
  box-shadow: inset 0 0 0 2px var(--card);
}

.row,
.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.ways {
  margin-top: 12px;
}

.dot {
  display: inline-block;
  width: 18px;
  height: 18px;
  border: 1px solid var(--edge);
  border-radius: 50%;
  vertical-align: -3px;
}

.code {
  width: 96px;
  height: 30px;
  padding: 0 8px;
  border: 1px solid var(--edge);
  border-radius: 6px;
}

.quiet {
  margin: 0;
  font-size: 13px;
}

form + .quiet {
  margin-top: 10px;
}
</style>
