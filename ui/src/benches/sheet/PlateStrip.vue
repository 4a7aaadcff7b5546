<script setup lang="ts">
import { nextTick, ref } from 'vue'
import type { Still } from '@/api/types'
import { plateUrl } from '@/api/urls'
import { usePointerDrag } from '@/parts/pointerDrag'
import type { PlatePart, usePlate } from './plate'

/** The parts in the order they will play: drag one to another place, or press it to leave it out. */
const props = defineProps<{ plate: ReturnType<typeof usePlate>; still: Still }>()
const SIDE = 64
const strip = ref<HTMLElement | null>(null)
const drag = usePointerDrag()

function pictureStyle(part: PlatePart): Record<string, string> {
  const scale = SIDE / Math.max(part.width, part.height)
  const { width, height } = props.still.size
  return {
    width: `${part.width * scale}px`,
    height: `${part.height * scale}px`,
    backgroundImage: `url(${plateUrl(props.still.picture)})`,
    backgroundSize: `${width * scale}px ${height * scale}px`,
    backgroundPosition: `${-part.x * scale}px ${-part.y * scale}px`,
  }
}

/** A part is dragged to the place of the one it is held over. */
function press(event: PointerEvent, part: PlatePart): void {
  drag.press(event, {
    fingerRests: true,
    click: () => props.plate.toggle(part.key),
    move: ({ event: now }) => {
      const over = document.elementFromPoint(now.clientX, now.clientY)?.closest<HTMLElement>('[data-part]')
      if (over && strip.value?.contains(over) && over.dataset.part !== part.key) {
        props.plate.move(
          part.key,
          props.plate.parts.value.findIndex(({ key }) => key === over.dataset.part),
        )
      }
    },
  })
}

async function onKey(event: KeyboardEvent, part: PlatePart, place: number): Promise<void> {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (by === undefined) {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault()
      props.plate.toggle(part.key)
    }
    return
  }
  event.preventDefault()
  if (event.altKey) {
    props.plate.move(part.key, place + by)
  }
  await nextTick()
  const key = event.altKey ? part.key : props.plate.parts.value[place + by]?.key
  strip.value?.querySelector<HTMLElement>(`[data-part="${key}"]`)?.focus()
}
</script>

<template>
  <div>
    <p class="quiet hint">
      {{
        plate.parts.value.length === 0 && !plate.busy.value
          ? 'No drawings are found.'
          : 'Press one to leave it out, drag it to another place (Alt + ← →).'
      }}
    </p>
    <div ref="strip" class="strip" role="group" aria-label="Parts in order">
      <button
        v-for="(part, place) in plate.parts.value"
        :key="part.key"
        type="button"
        class="thumb"
        :class="{ out: !part.taken }"
        :data-part="part.key"
        :aria-pressed="part.taken"
        :aria-label="`Part ${place + 1}`"
        @pointerdown.left="press($event, part)"
        @keydown="onKey($event, part, place)"
      >
        <span class="checker" :style="pictureStyle(part)" />
      </button>
    </div>
  </div>
</template>

<style scoped>
.hint {
  margin: 0 0 6px;
  font-size: 14px;
}

.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  max-height: 158px;
  padding: 2px;
  overflow-y: auto;
}

.thumb {
  display: grid;
  flex: none;
  place-items: center;
  width: 74px;
  height: 74px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: var(--card);
  cursor: grab;
}

.thumb.out {
  border-style: dashed;
  opacity: 0.45;
}
</style>
