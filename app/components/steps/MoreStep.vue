<script setup lang="ts">
import { computed } from 'vue'
import { FRIDGE_CHECKS } from '#core/rules/house'
import { isColdPlace, takesMeat } from '#core/places/place-kind'
import type { PlaceView } from '#shared/contracts/places'
import { useNotation } from '~/composables/use-notation'
import { ASKS, type AskName } from '#shared/steps/all-told'
import type { AskedOf } from './ask-row'
import ChipStep from './ChipStep.vue'
import type { PressStep } from '~/logic/press'

/** Where to? Every place that takes meat, with how warm it was last; and what else can be done. */
const props = defineProps<{ of: AskedOf; hangs: boolean; saving: boolean }>()
const emit = defineEmits<{ tell: [steps: PressStep[], words: string]; ask: [what: AskName]; late: []; close: [] }>()
const { temperature } = useNotation()
const lastC = (place: PlaceView) => place.readings.findLast(reading => reading.tempC !== null)?.tempC ?? null
const isWarm = (place: PlaceView) => (lastC(place) ?? -Infinity) > FRIDGE_CHECKS.warn.aboveC
/** What cures lies in the cold; later on a drying room or a smoker without fire is a place as well. */
const fit = computed(() =>
  props.of.places
    .filter((place) => {
      const as = { kind: place.kind, can: place.uses }
      return place.id !== props.of.from && (props.of.curing ? isColdPlace(as) : takesMeat(as))
    })
    .toSorted((a, b) => Number(b.uses.includes('cold')) - Number(a.uses.includes('cold'))),
)
const words = (place: PlaceView) => {
  const tempC = lastC(place)
  if (tempC === null) return `To ${place.name}, not read yet`
  return `To ${place.name}, ${temperature(tempC)}${isWarm(place) && props.of.curing ? ': too warm' : ''}`
}
/** What can be told of these, by its name; what is told seldom stands behind. */
const asks = computed(() => {
  const now = props.of.curing ? 'cure' : 'after'
  const told = (Object.keys(ASKS) as AskName[]).flatMap((value) => {
    const { menu = {}, rare = false } = ASKS[value]
    const words = (props.hangs && menu.hangs) || menu[now]
    return words ? [{ value, words, rare }] : []
  })
  return told.toSorted((a, b) => Number(a.rare) - Number(b.rare))
})
const choices = computed(() => [
  ...fit.value.map(place => ({ value: String(place.id), words: words(place) })),
  ...asks.value,
  { value: 'late', words: 'Told late…' },
])
function choose(value: string): void {
  const place = fit.value.find(one => String(one.id) === value)
  if (value === 'late') emit('late')
  else if (place) emit('tell', [{ kind: 'move', placeId: place.id, spot: null }], `moved to ${place.name}.`)
  else emit('ask', value as AskName)
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
    <p v-if="of.curing && fit.some(isWarm)" class="caution">
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
