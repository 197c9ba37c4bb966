<script setup lang="ts">
import LoadProblem from '~/components/common/LoadProblem.vue'
import AskHead from './AskHead.vue'
import PutLines from './PutLines.vue'
import type { Puts } from './use-puts'

/** Something goes on: what of the store, how much, and what its kind says beside. */
const props = defineProps<{ label: string; asks: string; button: string; puts: Puts; saving: boolean }>()
const emit = defineEmits<{ tell: []; close: [] }>()
const { ready, view, problem } = props.puts
</script>

<template>
  <form class="put" :aria-label="label" @submit.prevent="emit('tell')" @keydown.esc="emit('close')">
    <AskHead :asks="asks" @close="emit('close')" />
    <LoadProblem v-if="problem" :problem="problem" />
    <!-- Whole or not at all: what comes in between moves the rest away from under a finger. -->
    <p v-else-if="!view" class="small soft">Looking into the store…</p>
    <template v-else>
      <PutLines :puts="puts" />
      <slot />
      <VBtn type="submit" color="primary" :loading="saving" :disabled="!ready">{{ button }}</VBtn>
    </template>
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
