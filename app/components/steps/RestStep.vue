<script setup lang="ts">
import { upperFirst } from '#core/lists/upper-first'
import { DRY_WAYS, REST_WAYS, type DryWay, type RestWay } from '#core/life/step'
import { DRY_WORDS, REST_WORDS } from '#shared/messages/steps'
import ChipStep from './ChipStep.vue'
import type { ToldStep } from './press'

/** Drying or resting from now on, until the next thing begins. */
const props = defineProps<{ what: 'dry' | 'rest'; saving: boolean }>()
const emit = defineEmits<{ tell: [steps: ToldStep[], words: string]; close: [] }>()
const DRYING = DRY_WAYS.map(value => ({ value: value as string, words: upperFirst(DRY_WORDS[value]) }))
const RESTING = REST_WAYS.map(value => ({ value: value as string, words: upperFirst(REST_WORDS[value]) }))
function choose(how: string): void {
  const begun = { minutes: null, placeId: null }
  if (props.what === 'dry')
    emit('tell', [{ kind: 'dry', how: how as DryWay, ...begun }], `drying ${DRY_WORDS[how as DryWay]}.`)
  else emit('tell', [{ kind: 'rest', how: how as RestWay, ...begun }], `resting ${REST_WORDS[how as RestWay]}.`)
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
