<script setup lang="ts">
import { mdiLinkVariant, mdiLinkVariantOff } from '@mdi/js'
import { computed, ref } from 'vue'
import { limits } from '@/api/limits'
import type { Pose } from '@/api/types'
import NumberField from '@/parts/NumberField.vue'
import { percent } from '@/parts/numbers'
import { usePlayhead } from '@/reel/playhead'
import { useMoving } from './moving'

/** Where the chosen cut-out is on this frame, in numbers. */
interface Field {
  label: string
  suffix: string
  value: number
  min: number
  max: number
  step: number
  set: (pose: Pose, value: number) => Pose
}

const playhead = usePlayhead()
const moving = useMoving()
/** Whether width and height change together. */
const locked = ref(true)

const kind = computed(() => moving.single?.cutout.art.kind)
const together = computed(() => locked.value || kind.value === 'group')

const fields = computed<Field[]>(() => {
  const pose = moving.single?.pose
  if (!pose) {
    return []
  }
  const place = { suffix: 'px', ...limits.Pose.x, step: moving.step }
  const size = { suffix: '%', ...percent(limits.Pose.scaleX), step: 1 }
  const share = { suffix: '%', ...percent(limits.Pose.opacity), step: 1 }
  return [
    { label: 'Across', value: pose.x, ...place, set: (was, x) => ({ ...was, x }) },
    { label: 'Down', value: pose.y, ...place, set: (was, y) => ({ ...was, y }) },
    together.value
      ? { label: 'Size', value: pose.scaleX * 100, ...size, set: sized }
      : { label: 'Width', value: pose.scaleX * 100, ...size, set: (was, x) => ({ ...was, scaleX: x / 100 }) },
    ...(together.value
      ? []
      : [
          {
            label: 'Height',
            value: pose.scaleY * 100,
            ...size,
            set: (was: Pose, y: number) => ({ ...was, scaleY: y / 100 }),
          },
        ]),
    {
      label: 'Turn',
      value: pose.turn,
      suffix: '°',
      ...limits.Pose.turn,
      step: 1,
      set: (was, turn) => ({ ...was, turn }),
    },
    {
      label: 'Opacity',
      value: pose.opacity * 100,
      ...share,
      set: (was, opacity) => ({ ...was, opacity: opacity / 100 }),
    },
    ...(kind.value === 'words'
      ? [
          {
            label: 'Letters',
            value: pose.shown * 100,
            ...share,
            set: (was: Pose, shown: number) => ({ ...was, shown: shown / 100 }),
          },
          {
            label: 'Colors',
            value: pose.walk,
            suffix: 'letters',
            ...limits.Pose.walk,
            step: 1,
            set: (was: Pose, walk: number) => ({ ...was, walk }),
          },
        ]
      : []),
  ]
})

/** Of what was flat before, both get the size; else the ratio stays. */
function sized(was: Pose, percent: number): Pose {
  const scaleX = percent / 100
  return { ...was, scaleX, scaleY: was.scaleX === 0 ? scaleX : (was.scaleY * scaleX) / was.scaleX }
}

const MEANS: Record<string, string> = {
  px: 'Where its pivot is, in pixels of the canvas',
  '%': 'Of its own size, or of full strength',
  '°': 'Clockwise',
  letters: 'How many letters the colors have moved on',
}

const shown = (value: number): number => Math.round(value * 100) / 100
</script>

<template>
  <div class="fields" @focusin="playhead.playing = false">
    <label v-for="field in fields" :key="field.label" class="field" :title="MEANS[field.suffix]">
      <span>{{ field.label }}</span>
      <number-field
        :value="shown(field.value)"
        :label="field.label"
        :suffix="field.suffix"
        :min="field.min"
        :max="field.max"
        :step="field.step"
        :decimals="2"
        @done="(value) => moving.change((was) => field.set(was, value))"
      />
    </label>
    <v-btn
      v-if="moving.single && kind !== 'group'"
      :icon="locked ? mdiLinkVariant : mdiLinkVariantOff"
      size="small"
      class="lock"
      :aria-pressed="locked"
      :title="locked ? 'Width and height change together' : 'Width and height change freely'"
      :aria-label="locked ? 'Width and height change together' : 'Width and height change freely'"
      @click="locked = !locked"
    />
  </div>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 4px 8px;
}

.field {
  flex: 1 1 0;
  min-width: 76px;
  max-width: 160px;
}

.field span {
  display: block;
  margin-bottom: 2px;
  color: var(--ink2);
  font-size: 13px;
}

.lock {
  margin-bottom: 2px;
}
</style>
