<script setup lang="ts">
import AskDialog from './AskDialog.vue'
import CardDialog from './CardDialog.vue'
import FitDialog from './FitDialog.vue'
import ThereAndBackDialog from './ThereAndBackDialog.vue'
</script>

<template>
  <ask-dialog />
  <there-and-back-dialog />
  <fit-dialog />
  <card-dialog />
</template>
