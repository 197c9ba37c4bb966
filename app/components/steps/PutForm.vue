<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import PutLines from './PutLines.vue'
import type { Puts } from './use-puts'

/** Something goes on: what of the store, how much, and what its kind says beside. */
const props = defineProps<{ label: string; asks: string; button: string; puts: Puts; saving: boolean }>()
const emit = defineEmits<{ tell: []; close: [] }>()
const { ready } = props.puts
</script>

<template>
  <form class="put" :aria-label="label" @submit.prevent="emit('tell')" @keydown.esc="emit('close')">
    <p class="asks">
      <span class="small">{{ asks }}</span>
      <VBtn variant="text" :icon="mdiClose" aria-label="Back, nothing is recorded" @click="emit('close')" />
    </p>
    <PutLines :puts="puts" />
    <slot />
    <VBtn type="submit" color="primary" :loading="saving" :disabled="!ready">{{ button }}</VBtn>
  </form>
</template>

<style scoped>
.put {
  container-type: inline-size;
  display: grid;
  gap: 0.5rem;
}
.asks {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin: 0;
  font-weight: 600;
}
.put > .v-btn {
  min-height: 56px;
}
</style>
