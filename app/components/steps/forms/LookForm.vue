<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Feel } from '#core/life/kinds/look'
import type { FileView } from '#shared/contracts/files'
import FileField from '~/components/common/FileField.vue'
import { useFloor } from '~/stores/floor'
import { FEEL_WORDS } from '#shared/steps/look'
import ChipStep from '../ChipStep.vue'
import PickOne from '../PickOne.vue'
import type { PressStep } from '~/logic/press'
import type { AskEvents, AskProps } from '../ask-row'

const props = defineProps<AskProps>()
const floor = useFloor()
const hangs = computed(() => props.row.meant.every(piece => piece.stage === 'hang'))
const emit = defineEmits<AskEvents>()

type Look = Extract<PressStep, { kind: 'look' }>
const CHOICES: { value: Feel | 'more'; words: string }[] = [
  { value: 'raw', words: 'As raw' },
  { value: 'edges_firm', words: 'Edges firm' },
  { value: 'soft_middle', words: 'Soft in the middle' },
  { value: 'stiff', words: 'Stiff throughout' },
  { value: 'more', words: 'More to say…' },
]
const COLOURS = [
  { value: 'raw', words: 'Colour: raw' },
  { value: 'patchy', words: 'Patchy' },
  { value: 'even', words: 'Even' },
] as const
const LIQUIDS = [
  { value: 'dry', words: 'Lies dry' },
  { value: 'some', words: 'Some liquid' },
  { value: 'much', words: 'Much liquid' },
] as const
const SPOTS = [{ value: 'grey', words: 'Grey spots' }] as const
const MOULDS = [
  { value: 'white', words: 'White mould' },
  { value: 'other', words: 'Other mould' },
] as const
const SMELLS = [{ value: 'off', words: 'Smells off' }] as const
/** What is said beside the feel; the tap on a feel then records all of it. */
const seen = ref({
  colour: null as (typeof COLOURS)[number]['value'] | null,
  liquid: null as (typeof LIQUIDS)[number]['value'] | null,
  smell: null as (typeof SMELLS)[number]['value'] | null,
  mould: null as (typeof MOULDS)[number]['value'] | null,
  spots: null as (typeof SPOTS)[number]['value'] | null,
})
/** The shop's own words where it wrote some; what is not white bloom on hung meat has but one. */
const mouldWords = computed(() => {
  if (seen.value.mould !== 'white' || !hangs.value)
    return 'Mould on soft bacon, or of any colour but white, is discarded. It is held until the owner decides.'
  const policy = floor.view?.shop.mouldPolicy
  return policy
    ? `White bloom on hung meat, by the shop’s policy: ${policy}`
    : 'The shop has no written policy for white bloom on hung meat: discard it.'
})
const photo = ref<FileView | null>(null)
const noted = ref('')
const more = ref(false)

function tell(feel: Feel | null): void {
  const look: Look = {
    kind: 'look',
    feel,
    ...seen.value,
    photoId: photo.value?.id ?? null,
    note: noted.value.trim() || null,
  }
  const off = `${seen.value.mould ? ', mould' : ''}${seen.value.smell === 'off' ? ', smells off' : ''}`
  emit('tell', [look], `looked at${feel ? `, ${FEEL_WORDS[feel]}` : ''}${off}.`)
}
const choose = (value: Feel | 'more') => {
  if (value === 'more') more.value = true
  else tell(value)
}
</script>

<template>
  <ChipStep
    label="How does the thickest piece feel?"
    :choices="more ? CHOICES.slice(0, -1) : CHOICES"
    :saving="saving"
    @choose="choose"
    @close="emit('close')"
  >
    <div v-if="more" class="rest">
      <PickOne v-model="seen.colour" label="Colour" :choices="COLOURS" />
      <PickOne v-model="seen.liquid" label="Liquid" :choices="LIQUIDS" />
      <div class="pair">
        <PickOne v-model="seen.spots" label="Spots" :choices="SPOTS" />
        <PickOne v-model="seen.smell" label="Smell" :choices="SMELLS" grave />
      </div>
      <PickOne v-model="seen.mould" label="Mould" :choices="MOULDS" grave />
      <p v-if="seen.mould" class="caution grave">
        {{ mouldWords }}
      </p>
      <p v-if="seen.smell === 'off'" class="caution grave">
        What smells off is held until the owner decides. Never taste it to find out.
      </p>
      <FileField v-model="photo" label="Photo" photo />
      <VTextField v-model="noted" label="Note" maxlength="500" hide-details autocomplete="off" />
      <VBtn variant="outlined" :disabled="saving" @click="tell(null)">Save without a feel</VBtn>
    </div>
  </ChipStep>
</template>

<style scoped>
.rest {
  grid-column: 1 / -1;
  display: grid;
  gap: 0.4rem;
}
.pair {
  display: flex;
  gap: 0.4rem;
}
</style>
