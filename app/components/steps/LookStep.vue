<script setup lang="ts">
import type { Feel } from '#core/life/step'
import { FEEL_WORDS } from '~/words/step-words'
import ChipStep from './ChipStep.vue'
import type { ToldStep } from './use-press'

defineProps<{ saving: boolean }>()
const emit = defineEmits<{ tell: [step: ToldStep, words: string]; close: [] }>()

const CHOICES: { value: Feel; words: string }[] = [
  { value: 'raw', words: 'As raw' },
  { value: 'edges_firm', words: 'Edges firm' },
  { value: 'soft_middle', words: 'Soft in the middle' },
  { value: 'stiff', words: 'Stiff throughout' },
]
const choose = (feel: Feel) =>
  emit('tell', { kind: 'look', feel, note: null }, `looked at, ${FEEL_WORDS[feel]}.`)
</script>

<template>
  <ChipStep
    label="How does the thickest piece feel?"
    :choices="CHOICES"
    :saving="saving"
    @choose="choose"
    @close="emit('close')"
  />
</template>
