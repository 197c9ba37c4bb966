<script setup lang="ts" generic="T extends string">
import { onMounted, ref } from 'vue'
import AskHead from './AskHead.vue'

defineProps<{ label: string; choices: readonly { value: T; words: string }[]; saving: boolean }>()
const emit = defineEmits<{ choose: [value: T]; close: [] }>()
const box = ref<HTMLElement | null>(null)
// The finger is there already; keys and screen readers are led along.
onMounted(() => box.value?.querySelector<HTMLElement>('.choice')?.focus())
</script>

<template>
  <div ref="box" class="chip-step" role="group" :aria-label="label" @keydown.esc="emit('close')">
    <AskHead :asks="label" @close="emit('close')" />
    <VBtn
      v-for="choice in choices"
      :key="choice.value"
      class="choice"
      variant="outlined"
      :disabled="saving"
      @click="emit('choose', choice.value)"
    >
      {{ choice.words }}
    </VBtn>
    <slot />
  </div>
</template>

<style scoped>
.chip-step {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
}
.choice {
  padding: 0 0.4rem;
}
.choice :deep(.v-btn__content) {
  white-space: normal;
  line-height: 1.15;
}
/* What is said beside the choices takes the line too, as one left over does. */
.chip-step > :slotted(p) {
  grid-column: 1 / -1;
  margin: 0;
}
.choice:nth-of-type(odd):last-of-type {
  grid-column: 1 / -1;
}
@media (--tablet) {
  .chip-step {
    grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
  }
}
</style>
