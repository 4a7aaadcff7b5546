<template>
  <router-link to="/" class="brand">Dobbin</router-link>
</template>

<style scoped>
.brand {
  font: 750 21px var(--v-font-heading);
  color: var(--rein);
  text-decoration: none;
  border-radius: 4px;
}
</style>
