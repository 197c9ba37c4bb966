<script setup lang="ts">
import { computed } from 'vue'
import { upperFirst } from '#core/lists/upper-first'
import { DRY_WAYS, type DryWay } from '#core/life/kinds/dry'
import { REST_WAYS, type RestWay } from '#core/life/kinds/rest'
import type { PlaceUse } from '#core/places/place-kind'
import type { PlaceView } from '#shared/contracts/places'
import { DRY_WORDS } from '#shared/steps/dry'
import { REST_WORDS } from '#shared/steps/rest'
import { useDraft } from '~/composables/use-draft'
import ChipStep from '../ChipStep.vue'
import PickOne from '../PickOne.vue'
import type { AskEvents, AskProps } from '../ask-row'

/**
 * Drying or resting from now on, until the next thing begins. The place is the tap that records; how it lies is as it was
 * last time, or as its plan has it.
 */
const props = defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const what = props.row.ask === 'dry' ? 'dry' : 'rest'
const WAYS = {
  dry: DRY_WAYS.map(value => ({ value: value as string, words: upperFirst(DRY_WORDS[value]) })),
  rest: REST_WAYS.map(value => ({ value: value as string, words: upperFirst(REST_WORDS[value]) })),
}
const FITS: Record<'dry' | 'rest', readonly PlaceUse[]> = { dry: ['cold', 'hang', 'bench'], rest: ['cold', 'bench'] }
const { draft: last } = useDraft(`lies-${what}`, () => ({ how: WAYS[what][0]!.value, placeId: null as number | null }))
const how = computed({
  get: () => last.value.how,
  // A second tap takes nothing back: it lies somehow.
  set: value => (last.value.how = value ?? last.value.how),
})
/** Where it was laid last, then where it is, then the others. */
const choices = computed(() => {
  const rank = ({ id }: PlaceView) => (id === last.value.placeId ? 0 : id === props.row.from ? 1 : 2)
  return props.row.places
    .filter(place => place.id === props.row.from || place.uses.some(use => FITS[what].includes(use)))
    .toSorted((a, b) => rank(a) - rank(b))
    .map(({ id, name }) => ({ value: String(id), words: id === props.row.from ? `Here, ${name}` : name }))
})
function choose(id: string): void {
  const place = props.row.places.find(one => String(one.id) === id)!
  last.value.placeId = place.id
  const begun = { minutes: null, placeId: place.id }
  const where = place.id === props.row.from ? '' : ` in ${place.name}`
  if (what === 'dry')
    emit('tell', [{ kind: 'dry', how: how.value as DryWay, ...begun }], `drying ${DRY_WORDS[how.value as DryWay]}${where}.`)
  else emit('tell', [{ kind: 'rest', how: how.value as RestWay, ...begun }], `resting ${REST_WORDS[how.value as RestWay]}${where}.`)
}
</script>

<template>
  <ChipStep
    :label="what === 'dry' ? 'Where does it dry?' : 'Where does it rest?'"
    :choices="choices"
    :saving="saving"
    @choose="choose"
    @close="emit('close')"
  >
    <PickOne v-model="how" class="how" label="How?" :choices="WAYS[what]" />
  </ChipStep>
</template>

<style scoped>
/* How it lies stands between the question and the places that answer it. */
:deep(.choice) {
  order: 1;
}
.how {
  grid-column: 1 / -1;
  flex-wrap: wrap;
}
.how :deep(.v-btn) {
  min-width: 5.6rem;
}
</style>
