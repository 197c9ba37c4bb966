<script setup lang="ts" generic="T extends string">
import { mdiClose } from '@mdi/js'
import { onMounted, ref } from 'vue'

defineProps<{ label: string; choices: readonly { value: T; words: string }[]; saving: boolean }>()
const emit = defineEmits<{ choose: [value: T]; close: [] }>()
const box = ref<HTMLElement | null>(null)
// The finger is there already; keys and screen readers are led along.
onMounted(() => box.value?.querySelector<HTMLElement>('.choice')?.focus())
</script>

<template>
  <div ref="box" class="chip-step" role="group" :aria-label="label" @keydown.esc="emit('close')">
    <p class="asks">
      <span class="small">{{ label }}</span>
      <VBtn variant="text" :icon="mdiClose" aria-label="Back, nothing is recorded" @click="emit('close')" />
    </p>
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
.asks {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin: 0;
  font-weight: 600;
}
.asks .v-btn {
  min-width: 56px;
  min-height: 56px;
}
.choice {
  padding: 0 0.4rem;
}
.choice :deep(.v-btn__content) {
  white-space: normal;
  line-height: 1.15;
}
/* One left over takes the line. */
.choice:nth-of-type(odd):last-of-type {
  grid-column: 1 / -1;
}
@media (--tablet) {
  .chip-step {
    grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
  }
}
</style>
