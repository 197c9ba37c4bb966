<script setup lang="ts">
import { ROOMS } from '~/logic/rooms'

const shown = defineModel<boolean>({ required: true })
const KEYS = [
  ['n', 'new in this room'],
  ['/', 'find anything by its code'],
  ['r', 'record on the lot in focus'],
  ['u', 'undo the last record'],
  ['↑ ↓', 'up and down a table; Enter opens'],
  ['?', 'this list'],
] as const
</script>

<template>
  <VDialog v-model="shown" aria-label="Keys">
    <VCard class="pa-5">
      <h2>Keys</h2>
      <dl class="mt-3">
        <template v-for="room in ROOMS" :key="room.key">
          <dt>
            <kbd>g</kbd> <kbd>{{ room.key }}</kbd>
          </dt>
          <dd>{{ room.name }}</dd>
        </template>
        <template v-for="[key, what] in KEYS" :key="key">
          <dt>
            <kbd>{{ key }}</kbd>
          </dt>
          <dd>{{ what }}</dd>
        </template>
      </dl>
      <VBtn class="slim mt-4" @click="shown = false">Close</VBtn>
    </VCard>
  </VDialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 6rem 1fr;
  gap: 0.3rem;
  margin: 0;
}
dd {
  margin: 0;
}
kbd {
  font-family: var(--mono);
  border: 1px solid var(--hair-strong);
  border-radius: 3px;
  padding: 0 0.4rem;
}
</style>
