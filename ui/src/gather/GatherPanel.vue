<script setup lang="ts">
import { mdiAlertCircleOutline, mdiInformationOutline } from '@mdi/js'
import { cancel, dismiss, gathering, shown } from './gathering'
</script>

<template>
  <section v-if="shown" class="panel" aria-label="Reading files" aria-live="polite">
    <div class="head">
      <b v-if="gathering.active"
        >Reading {{ Math.min(gathering.read + 1, gathering.total) }} of {{ gathering.total }}</b
      >
      <b v-else>{{ gathering.summary }}</b>
      <v-btn v-if="gathering.active" size="small" variant="outlined" @click="cancel">Stop</v-btn>
      <template v-else>
        <v-btn v-if="gathering.again" size="small" variant="outlined" @click="gathering.again()"
          >Try {{ gathering.problems.length === 1 ? 'it' : 'these' }} again</v-btn
        >
        <v-btn size="small" variant="outlined" @click="dismiss">Close</v-btn>
      </template>
    </div>
    <v-progress-linear
      v-if="gathering.active"
      :model-value="(gathering.read / gathering.total) * 100"
      color="success"
      height="8"
      rounded
      aria-label="Files read"
    />
    <p v-if="gathering.waiting > 0" class="quiet waiting">
      {{ gathering.waiting === 1 ? 'Another drop waits' : `${gathering.waiting} more wait` }} for this to end.
    </p>
    <ul v-if="gathering.problems.length + gathering.notes.length > 0">
      <li v-for="problem in gathering.problems" :key="problem" class="problem">
        <v-icon :icon="mdiAlertCircleOutline" size="18" /> <span>{{ problem }}</span>
      </li>
      <li v-for="note in gathering.notes" :key="note">
        <v-icon :icon="mdiInformationOutline" size="18" /> <span>{{ note }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.panel {
  position: fixed;
  right: 20px;
  bottom: 20px;
  z-index: 1000;
  display: grid;
  gap: 10px;
  width: min(440px, calc(100vw - 40px));
  padding: 14px 16px;
  border: 1px solid var(--line);
  border-radius: 14px;
  background: var(--card);
  box-shadow: 0 6px 28px #0003;
}

.waiting {
  margin: 0;
  font-size: 14px;
}

.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}

ul {
  display: grid;
  gap: 6px;
  max-height: 200px;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  font-size: 14px;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  overflow-wrap: anywhere;
}

.problem {
  color: var(--rein);
}
</style>
