<script setup lang="ts">
import { computed } from 'vue'
import { useNotation } from '~/composables/use-notation'

/**
 * A date by the device's own picker, whose order of day and month is the device's; beneath it the same as this person
 * writes it.
 */
defineProps<{ label: string; error?: string | undefined }>()
const date = defineModel<string>({ required: true })
const { dateInYear } = useNotation()
const understood = computed(() => (/^\d{4}-\d\d-\d\d$/.test(date.value) ? `= ${dateInYear(date.value)}` : ''))
</script>

<template>
  <VTextField v-model="date" type="date" :label="label" :hint="understood" persistent-hint :error-messages="error" />
</template>
