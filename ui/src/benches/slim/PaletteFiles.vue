<script setup lang="ts">
import { mdiPaletteOutline, mdiTrashCanOutline } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import { answer, api } from '@/api/client'
import { limits } from '@/api/limits'
import type { NamedPalette } from '@/api/types'
import { say, sayProblem } from '@/ground/messages'
import DropMenu from '@/parts/DropMenu.vue'
import PaletteFileButton from '@/parts/PaletteFileButton.vue'
import { useReel } from '@/reel/store'
import { useSlimming } from './slimming'

/** Palettes with names, for any reel, and palettes as files. */
const store = useReel()
const slimming = useSlimming()
const open = ref(false)
const name = ref('')
const palettes = shallowRef<NamedPalette[]>([])
const colors = computed(() => (slimming.facts?.swatches ?? []).map((swatch) => swatch.color))
const writable = computed(() => colors.value.length > 0 && colors.value.length <= limits.Coloring.own.max)

async function load(): Promise<void> {
  palettes.value = await answer(api.GET('/api/palettes'))
}
watch(open, (now) => {
  if (now) void load().catch(sayProblem)
})

async function take(own: string[], from: string): Promise<void> {
  open.value = false
  if (await slimming.takePalette(own)) {
    say(`The colors come from “${from}”.`)
  }
}

async function keep(): Promise<void> {
  const wanted = name.value.trim()
  if (wanted === '' || !writable.value) {
    return
  }
  try {
    await answer(api.POST('/api/palettes', { body: { name: wanted, colors: colors.value } }))
    name.value = ''
    await load()
  } catch (failure) {
    sayProblem(failure)
  }
}

async function forget(palette: NamedPalette): Promise<void> {
  try {
    await answer(api.DELETE('/api/palettes/{palette}', { params: { path: { palette: palette.id } } }))
    await load()
  } catch (failure) {
    sayProblem(failure)
  }
}

async function write(kind: 'text' | 'strip'): Promise<void> {
  try {
    const body = { colors: colors.value }
    const blob = (kind === 'text'
      ? await answer(api.POST('/api/palettes/text', { body, parseAs: 'blob' }))
      : await answer(api.POST('/api/palettes/strip', { body, parseAs: 'blob' }))) as unknown as Blob
    const link = document.createElement('a')
    link.href = URL.createObjectURL(blob)
    link.download = `${store.reel?.name ?? 'palette'} colors.${kind === 'text' ? 'txt' : 'png'}`
    link.click()
    URL.revokeObjectURL(link.href)
  } catch (failure) {
    sayProblem(failure)
  }
}
</script>

<template>
  <drop-menu v-model="open" :close-on-content-click="false" location="top">
    <template #activator="{ props: activator }">
      <v-btn v-bind="activator" size="small" variant="outlined" :prepend-icon="mdiPaletteOutline">Palettes</v-btn>
    </template>
    <v-card class="pa-4" width="320" rounded="lg" role="dialog" aria-label="Palettes">
      <h2>Palettes with a name</h2>
      <p v-if="palettes.length === 0" class="quiet">None yet. One that you name can be used in every reel.</p>
      <ul v-else>
        <li v-for="palette in palettes" :key="palette.id">
          <button
            type="button"
            class="use"
            :title="`Use the ${palette.colors.length} colors of ${palette.name}`"
            @click="take(palette.colors, palette.name)"
          >
            <b>{{ palette.name }}</b>
            <span class="strip" aria-hidden="true"
              ><i v-for="color in palette.colors.slice(0, 32)" :key="color" :style="{ background: `#${color}` }"
            /></span>
          </button>
          <v-btn
            :icon="mdiTrashCanOutline"
            size="x-small"
            :aria-label="`Delete the palette ${palette.name}`"
            @click="forget(palette)"
          />
        </li>
      </ul>
      <form class="row" @submit.prevent="keep">
        <input
          v-model="name"
          type="text"
          aria-label="Name for this palette"
          placeholder="Name for this one"
          :maxlength="limits.Rename.name.max"
        />
        <v-btn type="submit" size="small" variant="outlined" :disabled="!writable || name.trim() === ''">Keep</v-btn>
      </form>
      <h2>As a file</h2>
      <div class="row">
        <palette-file-button label="Read one" @read="take" />
        <v-btn size="small" variant="outlined" :disabled="!writable" title="One CSS color a line" @click="write('text')"
          >Save as text</v-btn
        >
        <v-btn
          size="small"
          variant="outlined"
          :disabled="!writable"
          title="A PNG, one pixel a color"
          @click="write('strip')"
          >Save as strip</v-btn
        >
      </div>
    </v-card>
  </drop-menu>
</template>

<style scoped>
ul {
  display: grid;
  gap: 6px;
  max-height: 220px;
  margin: 8px 0;
  padding: 0;
  overflow: auto;
  list-style: none;
}

li {
  display: flex;
  align-items: center;
  gap: 6px;
}

.use {
  display: grid;
  flex: 1;
  gap: 3px;
  padding: 5px 8px;
  border: 1px solid var(--line);
  border-radius: 8px;
  text-align: left;
}

.strip {
  display: flex;
  height: 10px;
}

.strip i {
  flex: 1;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 10px 0 16px;
}

.row:last-of-type {
  margin-bottom: 0;
}

input[type='text'] {
  flex: 1;
  min-width: 0;
  height: 30px;
  padding: 0 8px;
  border: 1px solid var(--edge);
  border-radius: 6px;
}

.quiet {
  margin: 6px 0;
  font-size: 13px;
}
</style>
