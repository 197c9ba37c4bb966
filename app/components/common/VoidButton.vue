<script setup lang="ts">
import type { EventView } from '#shared/contracts/events'
import { voidInput } from '#shared/contracts/voids'
import ReasonDialog from './ReasonDialog.vue'
import { eventWords, mayBeVoided } from '~/words/event-words'
import { useNotation } from '~/composables/use-notation'

/** Takes a record's effect back, with the reason; both stay in the book. */
defineProps<{ event: EventView }>()
const emit = defineEmits<{ voided: [] }>()
const { as, moment } = useNotation()
</script>

<template>
  <ReasonDialog
    v-if="mayBeVoided(event)"
    :title="`Void record ${event.id}`"
    verb="Void it"
    why="Why it was none"
    field="reason"
    :contract="voidInput"
    :path="`/api/events/${event.id}/void`"
    :said="`Record ${event.id} is voided; it stays in the book as such.`"
    @done="emit('voided')"
  >
    <template #opener="{ begin }">
      <VBtn variant="text" size="small" class="void" :aria-label="`Void record ${event.id}`" @click="begin">Void</VBtn>
    </template>
    <p>{{ moment(event.atMs) }}, {{ event.who }}: {{ eventWords(event, as) }}</p>
  </ReasonDialog>
</template>

<style scoped>
.void {
  color: var(--soft);
  margin: -9px 0;
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
