<script setup lang="ts">
import { ref, watch } from 'vue'
import { parseDecimal } from '#core/typed/parse-decimal'
import { formatNumber } from '#core/units/format'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { useNotation } from '~/composables/use-notation'

/** A number as people write it, with a comma or a point; what cannot be read is said, and the last number stays. */
const props = defineProps<{
  label: string
  suffix?: string
  min?: number
  max?: number
  /** True when it may be left empty: null. */
  optional?: boolean
  error?: string | undefined
}>()
const value = defineModel<number | null>({ required: true })
const { as } = useNotation()
const written = (n: number | null) => (n === null ? '' : formatNumber(n, Number.isInteger(n) ? 0 : 2, as.value.decimal))
const typed = ref(written(value.value))
const fault = ref('')
const MOST = 1e6
function read(text: string): void {
  typed.value = text
  if (text.trim() === '') {
    fault.value = props.optional ? '' : wordsFor('empty', {}, as.value)
    if (props.optional) value.value = null
    return
  }
  const found = parseDecimal(text)
  const [min, max] = [props.min ?? 0, props.max ?? MOST]
  if (!found.ok) fault.value = wordsFor(found.code, {}, as.value)
  else if (found.value < min || found.value > max) fault.value = wordsFor('number_range', { min, max }, as.value)
  else {
    fault.value = ''
    value.value = found.value
  }
}
watch(value, (now) => {
  const known = parseDecimal(typed.value)
  if (!known.ok || known.value !== now) typed.value = written(now)
})
</script>

<template>
  <VTextField
    :model-value="typed"
    :label="label"
    :suffix="suffix"
    inputmode="decimal"
    autocomplete="off"
    hide-details="auto"
    :error-messages="fault || error"
    @update:model-value="read"
  />
</template>
