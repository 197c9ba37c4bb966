<script setup lang="ts" generic="T extends string">
/** A choice of one of a few, or none: a second tap takes it back. */
const props = defineProps<{ label: string; choices: readonly { value: T; words: string }[]; grave?: boolean }>()
const chosen = defineModel<T | null>({ required: true })
const color = (value: T) => (chosen.value !== value ? undefined : props.grave ? 'error' : 'secondary')
</script>

<template>
  <div class="pick" role="group" :aria-label="label">
    <VBtn
      v-for="{ value, words } in choices"
      :key="value"
      :variant="chosen === value ? 'flat' : 'outlined'"
      :color="color(value)"
      :aria-pressed="chosen === value"
      @click="chosen = chosen === value ? null : value"
    >
      {{ words }}
    </VBtn>
  </div>
</template>

<style scoped>
.pick {
  display: flex;
  flex: 1;
  gap: 0.4rem;
}
.pick .v-btn {
  flex: 1;
  min-height: 56px;
  padding: 0 0.3rem;
}
.pick :deep(.v-btn__content) {
  white-space: normal;
  line-height: 1.1;
}
</style>
