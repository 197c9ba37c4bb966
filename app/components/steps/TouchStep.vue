<script setup lang="ts">
import { upperFirst } from '#core/lists/upper-first'
import { SURFACES, type Surface } from '#core/life/kinds/look'
import { SURFACE_WORDS } from '~/words/step-words'
import ChipStep from './ChipStep.vue'
import type { ToldStep } from '~/logic/press'

/** How does the surface feel to a clean finger? The answer is the record. */
defineProps<{ saving: boolean }>()
const emit = defineEmits<{ tell: [steps: ToldStep[], words: string]; close: [] }>()
const CHOICES = SURFACES.map(value => ({ value, words: upperFirst(SURFACE_WORDS[value]) }))
const choose = (surface: Surface) =>
  emit('tell', [{ kind: 'look', feel: null, surface, note: null }], `surface ${SURFACE_WORDS[surface]}.`)
</script>

<template>
  <ChipStep
    label="How does the surface feel, the wettest spot?"
    :choices="CHOICES"
    :saving="saving"
    @choose="choose"
    @close="emit('close')"
  />
</template>
