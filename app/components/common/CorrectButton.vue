<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiPencilOutline } from '@mdi/js'
import { readCode } from '#core/trace/code'
import { correctionInput, type CorrectionKind } from '#shared/contracts/corrections'
import ReasonDialog from './ReasonDialog.vue'
import { useNotation } from '~/composables/use-notation'

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
const { as } = useNotation()
const typed = ref('')
const isTemperature = computed(() => props.what === 'fridge_reading' || props.what === 'core_reading')
const value = computed(() => {
  const text = typed.value
  if (props.what === 'agent_used') return text.trim().toLowerCase() === 'unknown' ? null : (readCode(text)?.code ?? text)
  return isTemperature.value ? { typed: text, unit: as.value.temperature } : text
})
const body = computed(() => ({
  what: props.what,
  ...(props.id === undefined ? { code: props.code } : { id: props.id }),
  value: value.value,
}))
</script>

<template>
  <ReasonDialog
    :title="`Correct ${about}`"
    verb="Correct it"
    why="Why"
    field="reason"
    value-first
    :contract="correctionInput"
    path="/api/corrections"
    :body="body"
    :said="`${about} is corrected; both values are in the book.`"
    @begun="typed = ''"
    @done="emit('corrected')"
  >
    <template #opener="{ begin }">
      <VBtn
        class="pencil"
        variant="text"
        size="small"
        :icon="mdiPencilOutline"
        :aria-label="`Correct ${about}`"
        @click="begin"
      />
    </template>
    <template #default="{ errorAt }">
      <p>
        Recorded as <strong>{{ now }}</strong>. It stays in the book beside the new value.
      </p>
      <VTextField
        v-model="typed"
        label="Right value"
        :hint="hint"
        persistent-hint
        autofocus
        autocomplete="off"
        :suffix="isTemperature ? `°${as.temperature}` : undefined"
        :error-messages="errorAt('value')"
      />
    </template>
  </ReasonDialog>
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
</style>
