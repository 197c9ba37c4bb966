<script setup lang="ts">
import { computed } from 'vue'
import { FRIDGE_CHECKS } from '#core/rules/house'
import { isColdPlace, takesMeat } from '#core/places/place-kind'
import type { PlaceView } from '#shared/contracts/places'
import { useNotation } from '~/composables/use-notation'
import ChipStep from './ChipStep.vue'
import type { ToldStep } from '~/logic/press'

/** Where to? Every place that takes meat, with how warm it was last; and what else can be done. */
const props = defineProps<{ places: PlaceView[]; from: number | null; curing: boolean; hangs: boolean; saving: boolean }>()
const emit = defineEmits<{ tell: [steps: ToldStep[], words: string]; ask: [what: (typeof ASKED)[number]]; late: []; close: [] }>()
const { temperature } = useNotation()
const ASKED = [
  'leak',
  'purge',
  'weigh',
  'add',
  'look',
  'touch',
  'soak',
  'fry_test',
  'dry',
  'rest',
  'flavour',
  'stack',
  'cut',
  'hang',
  'humidity',
  'take',
] as const
const isAsked = (value: string): value is (typeof ASKED)[number] => (ASKED as readonly string[]).includes(value)

const lastC = (place: PlaceView) => place.readings.findLast(reading => reading.tempC !== null)?.tempC ?? null
const isWarm = (place: PlaceView) => (lastC(place) ?? -Infinity) > FRIDGE_CHECKS.warn.aboveC
/** What cures lies in the cold; later on a drying room or a smoker without fire is a place as well. */
const fit = computed(() =>
  props.places
    .filter((place) => {
      const as = { kind: place.kind, can: place.uses }
      return place.id !== props.from && (props.curing ? isColdPlace(as) : takesMeat(as))
    })
    .toSorted((a, b) => Number(b.uses.includes('cold')) - Number(a.uses.includes('cold'))),
)
const words = (place: PlaceView) => {
  const tempC = lastC(place)
  if (tempC === null) return `To ${place.name}, not read yet`
  return `To ${place.name}, ${temperature(tempC)}${isWarm(place) && props.curing ? ': too warm' : ''}`
}
const choices = computed(() => [
  ...fit.value.map(place => ({ value: String(place.id), words: words(place) })),
  ...(props.curing
    ? [
        { value: 'leak', words: 'It leaked…' },
        { value: 'massaged', words: 'Massaged' },
        { value: 'weigh', words: 'Weigh the meat…' },
        { value: 'add', words: 'Put more on…' },
        { value: 'stack', words: 'Stacked otherwise…' },
        { value: 'cut', words: 'Cut up…' },
      ]
    : [
        { value: 'look', words: 'Looked at…' },
        { value: 'touch', words: 'Surface…' },
        { value: 'soak', words: 'Soaked…' },
        { value: 'fry_test', words: 'Fried a slice…' },
        { value: 'dry', words: 'Drying…' },
        { value: 'rest', words: 'Resting…' },
        { value: 'flavour', words: 'Flavour…' },
        { value: 'hang', words: props.hangs ? 'On another hook…' : 'Hang to dry…' },
        ...(props.hangs ? [{ value: 'humidity', words: 'Air set to…' }] : []),
        { value: 'weigh', words: 'Weigh…' },
        { value: 'purge', words: 'Liquid left in the bag…' },
        { value: 'cut', words: 'Cut up, rind off…' },
      ]),
  { value: 'take', words: 'Taken away…' },
  { value: 'late', words: 'Told late…' },
])
function choose(value: string): void {
  if (value === 'late') emit('late')
  else if (value === 'massaged') emit('tell', [{ kind: 'turn', how: 'massaged', face: null }], 'massaged.')
  else if (isAsked(value)) emit('ask', value)
  else {
    const place = fit.value.find(one => String(one.id) === value)!
    emit('tell', [{ kind: 'move', placeId: place.id, spot: null }], `moved to ${place.name}.`)
  }
}
</script>

<template>
  <div class="more">
    <ChipStep
      label="Move, or something else"
      :choices="choices"
      :saving="saving"
      @choose="choose"
      @close="emit('close')"
    />
    <p v-if="curing && fit.some(isWarm)" class="caution">
      Meat in the cure lies at {{ temperature(FRIDGE_CHECKS.warn.aboveC) }} or colder: what is moved into a warmer place is
      held once it lay there too long.
    </p>
  </div>
</template>

<style scoped>
.more {
  display: grid;
  gap: 0.4rem;
}
</style>
