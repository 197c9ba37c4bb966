<script setup lang="ts">
import AskHead from './AskHead.vue'
import PutLines from './PutLines.vue'
import type { Puts } from './use-puts'

/** Something goes on: what of the store, how much, and what its kind says beside. */
const props = defineProps<{ label: string; asks: string; button: string; puts: Puts; saving: boolean }>()
const emit = defineEmits<{ tell: []; close: [] }>()
const { ready } = props.puts
</script>

<template>
  <form class="put" :aria-label="label" @submit.prevent="emit('tell')" @keydown.esc="emit('close')">
    <AskHead :asks="asks" @close="emit('close')" />
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
.put > .v-btn {
  min-height: 56px;
}
</style>
