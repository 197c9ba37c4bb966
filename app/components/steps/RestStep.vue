<script setup lang="ts">
import { DRY_WAYS, REST_WAYS, type DryWay, type RestWay } from '#core/life/step'
import { DRY_WORDS, REST_WORDS } from '~/words/step-words'
import ChipStep from './ChipStep.vue'
import type { ToldStep } from './press'

/** Drying or resting from now on, until the next thing begins. */
const props = defineProps<{ what: 'dry' | 'rest'; saving: boolean }>()
const emit = defineEmits<{ tell: [steps: ToldStep[], words: string]; close: [] }>()
const upper = (text: string) => `${text[0]!.toUpperCase()}${text.slice(1)}`
const DRYING = DRY_WAYS.map(value => ({ value: value as string, words: upper(DRY_WORDS[value]) }))
const RESTING = REST_WAYS.map(value => ({ value: value as string, words: upper(REST_WORDS[value]) }))
function choose(how: string): void {
  if (props.what === 'dry') emit('tell', [{ kind: 'dry', minutes: null, how: how as DryWay, placeId: null }], `drying ${DRY_WORDS[how as DryWay]}.`)
  else emit('tell', [{ kind: 'rest', minutes: null, how: how as RestWay, placeId: null }], `resting ${REST_WORDS[how as RestWay]}.`)
}
</script>

<template>
  <ChipStep
    :label="what === 'dry' ? 'How does it dry?' : 'How does it rest?'"
    :choices="what === 'dry' ? DRYING : RESTING"
    :saving="saving"
    @choose="choose"
    @close="emit('close')"
  />
</template>
