<script setup lang="ts">
import { upperFirst } from '#core/lists/upper-first'
import { SURFACES, type Surface } from '#core/life/kinds/look'
import { SURFACE_WORDS } from '#shared/steps/look'
import ChipStep from '../ChipStep.vue'
import type { AskEvents, AskProps } from '../ask-row'

/** How does the surface feel to a clean finger? The answer is the record. */
defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
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
