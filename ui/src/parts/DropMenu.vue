<script setup lang="ts">
import { useLayer } from '@/ground/layers'

/** A menu that drops from a button, or opens at a place. While it is open, keys are its own. */
defineOptions({ inheritAttrs: false })
const shown = defineModel<boolean>({ default: false })
useLayer(shown)
</script>

<template>
  <v-menu v-model="shown" v-bind="$attrs">
    <template v-if="$slots.activator" #activator="{ props: activator }"
      ><slot name="activator" :props="activator"
    /></template>
    <slot />
  </v-menu>
</template>
