<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiPencilOutline } from '@mdi/js'
import { readCode } from '#core/trace/code'
import type { CorrectionKind } from '#shared/contracts/corrections'
import CorrectDialog from './CorrectDialog.vue'
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
  <CorrectDialog
    :title="`Correct ${about}`"
    :label="`Correct ${about}`"
    :icon="mdiPencilOutline"
    :body="body"
    :said="`${about} is corrected; both values are in the book.`"
    @begun="typed = ''"
    @corrected="emit('corrected')"
  >
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
  </CorrectDialog>
</template>
