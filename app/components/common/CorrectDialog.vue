<script setup lang="ts">
import { correctionInput } from '#shared/contracts/corrections'
import ReasonDialog from './ReasonDialog.vue'

/** A pencil, there when wanted and quiet otherwise, that sets right what was recorded: the first stays in the book. */
defineProps<{ title: string; label: string; icon: string; body: Record<string, unknown>; said: string }>()
const emit = defineEmits<{ begun: []; corrected: [] }>()
</script>

<template>
  <ReasonDialog
    :title="title"
    verb="Correct it"
    why="Why"
    field="reason"
    value-first
    insists="packs_over_asked"
    :contract="correctionInput"
    path="/api/corrections"
    :body="body"
    :said="said"
    @begun="emit('begun')"
    @done="emit('corrected')"
  >
    <template #opener="{ begin }">
      <VBtn class="pencil" variant="text" size="small" :icon="icon" :aria-label="label" @click="begin" />
    </template>
    <template #default="{ errorAt }">
      <slot :error-at="errorAt" />
    </template>
  </ReasonDialog>
</template>

<style scoped>
.pencil {
  color: var(--soft);
  margin: -9px 0;
}
.pencil:deep(.v-icon) {
  font-size: 18px;
}
</style>
