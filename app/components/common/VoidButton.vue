<script setup lang="ts">
import { ref } from 'vue'
import type { EventView } from '#shared/contracts/events'
import { voidInput } from '#shared/contracts/voids'
import SaveProblem from './SaveProblem.vue'
import { eventWords, mayBeVoided } from '~/words/event-words'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** Takes a record's effect back, with the reason; both stay in the book. */
const props = defineProps<{ event: EventView }>()
const emit = defineEmits<{ voided: [] }>()
const session = useSession()
const { as, moment } = useNotation()
const { say } = useNotice()
const { save, saving, message, errorAt, forget } = useSave(voidInput)
const open = ref(false)
const reason = ref('')
function start(): void {
  forget()
  reason.value = ''
  open.value = true
}
async function setVoid(): Promise<void> {
  if (!(await save(`/api/events/${props.event.id}/void`, { reason: reason.value }))) return
  open.value = false
  say(`Record ${props.event.id} is voided; it stays in the book as such.`)
  emit('voided')
}
</script>

<template>
  <span v-if="session.mayWrite && mayBeVoided(event)" class="no-print">
    <VBtn variant="text" size="small" class="void" :aria-label="`Void record ${event.id}`" @click="start">Void</VBtn>
    <VDialog v-model="open" :aria-label="`Void record ${event.id}`">
      <form class="sheet stack" @submit.prevent="setVoid">
        <h2>Void record {{ event.id }}</h2>
        <p>{{ moment(event.atMs) }}, {{ event.who }}: {{ eventWords(event, as) }}</p>
        <VTextField
          v-model="reason"
          label="Why it was none"
          maxlength="500"
          autofocus
          :error-messages="errorAt('reason')"
        />
        <SaveProblem :message="message" />
        <div class="row">
          <VBtn type="submit" color="primary" class="floor" :loading="saving">Void it</VBtn><VBtn class="floor" variant="outlined" @click="open = false">Leave it</VBtn>
        </div>
      </form>
    </VDialog>
  </span>
</template>

<style scoped>
.void {
  color: var(--soft);
  margin: -9px 0;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.sheet {
  background: var(--bone);
  color: var(--peat);
  padding: 1.4rem;
}
</style>
