<script setup lang="ts">
import AskDialog from './AskDialog.vue'
import CardDialog from './CardDialog.vue'
import FitDialog from './FitDialog.vue'
import LineUpDialog from './LineUpDialog.vue'
import PlateDialog from './PlateDialog.vue'
import ThereAndBackDialog from './ThereAndBackDialog.vue'
</script>

<template>
  <ask-dialog />
  <there-and-back-dialog />
  <fit-dialog />
  <line-up-dialog />
  <plate-dialog />
  <card-dialog />
</template>
