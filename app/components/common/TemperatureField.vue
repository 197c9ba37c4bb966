<script setup lang="ts">
import { computed, ref } from 'vue'
import { parseTemperature } from '#core/typed/parse-temperature'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { useNotation } from '~/composables/use-notation'

const props = defineProps<{ label: string; error?: string | undefined }>()
const typed = defineModel<string>({ required: true })
const emit = defineEmits<{ enter: [] }>()
const { as, temperature } = useNotation()
const left = ref(false)
const parsed = computed(() => (typed.value.trim() === '' ? null : parseTemperature(typed.value, as.value.temperature)))
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
    :suffix="`°${as.temperature}`"
    :hint="parsed?.ok ? `= ${temperature(parsed.value)}` : ''"
    persistent-hint
    :error-messages="fault ? [fault] : []"
    autocomplete="off"
    inputmode="decimal"
    maxlength="30"
    @focus="left = false"
    @blur="left = true"
    @keydown.enter.prevent="emit('enter')"
  />
</template>
