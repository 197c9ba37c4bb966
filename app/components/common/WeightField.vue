<script setup lang="ts">
import { computed, ref } from 'vue'
import { parseWeight, type WeightRange } from '#core/typed/parse-weight'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { useNotation } from '~/composables/use-notation'

/** A weight as people type it; says at once what it understood. `digits` brings up the number pad: for plain grams. */
const props = defineProps<{
  label: string
  range: WeightRange
  fine?: boolean
  digits?: boolean
  error?: string | undefined
  optional?: boolean
}>()
const typed = defineModel<string>({ required: true })
const emit = defineEmits<{ enter: [] }>()
const { as, meat, grams } = useNotation()
const left = ref(false)
const parsed = computed(() => (typed.value.trim() === '' ? null : parseWeight(typed.value, props.range)))
const understood = computed(() => {
  if (!parsed.value?.ok) return ''
  const { netG, tareG, grossG } = parsed.value.value
  const shown = props.fine ? grams(netG, 0.01) : meat(netG)
  return tareG > 0 ? `= ${shown} (${meat(grossG)} less tub ${meat(tareG)})` : `= ${shown}`
})
const fault = computed(
  () =>
    props.error
    ?? (left.value && parsed.value && !parsed.value.ok
      ? wordsFor(parsed.value.code, parsed.value.params, as.value)
      : undefined),
)
</script>

<template>
  <VTextField
    v-model="typed"
    :label="label"
    :hint="understood"
    persistent-hint
    :error-messages="fault ? [fault] : []"
    autocomplete="off"
    :inputmode="digits ? 'decimal' : 'text'"
    maxlength="60"
    @focus="left = false"
    @blur="left = true"
    @keydown.enter.prevent="emit('enter')"
  />
</template>
