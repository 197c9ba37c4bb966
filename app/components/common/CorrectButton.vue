<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiPencilOutline } from '@mdi/js'
import { readCode } from '#core/trace/code'
import { correctionInput, type CorrectionKind } from '#shared/contracts/corrections'
import SaveProblem from './SaveProblem.vue'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** Sets a recorded value right: the first one stays in the book, with the reason. */
const props = defineProps<{
  what: CorrectionKind
  id?: number
  code?: string
  about: string
  now: string
  hint?: string
}>()
const emit = defineEmits<{ corrected: [] }>()
const session = useSession()
const { as } = useNotation()
const { say } = useNotice()
const { save, saving, message, errorAt, forget } = useSave(correctionInput)
const open = ref(false)
const value = ref('')
const reason = ref('')
const isTemperature = computed(() => props.what === 'fridge_reading' || props.what === 'core_reading')

function valueOf(typed: string): unknown {
  if (props.what === 'agent_used')
    return typed.trim().toLowerCase() === 'unknown' ? null : (readCode(typed)?.code ?? typed)
  return isTemperature.value ? { typed, unit: as.value.temperature } : typed
}
function start(): void {
  value.value = ''
  reason.value = ''
  forget()
  open.value = true
}
async function set(): Promise<void> {
  const done = await save('/api/corrections', {
    what: props.what,
    ...(props.id === undefined ? { code: props.code } : { id: props.id }),
    reason: reason.value,
    value: valueOf(value.value),
  })
  if (!done) return
  open.value = false
  say(`${props.about} is corrected; both values are in the book.`)
  emit('corrected')
}
</script>

<template>
  <span v-if="session.mayWrite" class="no-print">
    <VBtn
      class="pencil"
      variant="text"
      size="small"
      :icon="mdiPencilOutline"
      :aria-label="`Correct ${about}`"
      @click="start"
    />
    <VDialog v-model="open" :aria-label="`Correct ${about}`">
      <form class="sheet stack" @submit.prevent="set">
        <h2>Correct {{ about }}</h2>
        <p>
          Recorded as <strong>{{ now }}</strong>. It stays in the book beside the new value.
        </p>
        <VTextField
          v-model="value"
          label="Right value"
          :hint="hint"
          persistent-hint
          autofocus
          autocomplete="off"
          :suffix="isTemperature ? `°${as.temperature}` : undefined"
          :error-messages="errorAt('value')"
        />
        <VTextField v-model="reason" label="Why" maxlength="500" :error-messages="errorAt('reason')" />
        <SaveProblem :message="message" />
        <div class="row">
          <VBtn type="submit" color="primary" class="floor" :loading="saving">Correct it</VBtn><VBtn class="floor" variant="outlined" @click="open = false">Leave it</VBtn>
        </div>
      </form>
    </VDialog>
  </span>
</template>

<style scoped>
/* There when wanted, quiet otherwise. */
.pencil {
  color: var(--soft);
  margin: -9px 0;
}
.pencil:deep(.v-icon) {
  font-size: 18px;
}
.sheet {
  background: var(--bone);
  color: var(--peat);
  padding: 1.4rem;
}
</style>
