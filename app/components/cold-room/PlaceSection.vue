<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { daysBetween } from '#core/calendar/local-day'
import type { PlaceView } from '#shared/contracts/places'
import CureRow from './CureRow.vue'
import LyingRow from './LyingRow.vue'
import PlaceDrawing from './PlaceDrawing.vue'
import PlaceGauge from './PlaceGauge.vue'
import type { LyingGroup } from './lying'

/** One place with what lies in it. */
const props = defineProps<{
  place: PlaceView
  lying: LyingGroup
  places: PlaceView[]
  nowMs: Milliseconds
  width: number
  today: string
  span: { back: number; ahead: number }
}>()
const daysFor = (rubbedOn: string) => {
  const day = daysBetween(rubbedOn, props.today)
  return { from: day - props.span.back, to: day + props.span.ahead }
}
</script>

<template>
  <section :aria-label="place.name">
    <PlaceGauge
      :place="place"
      :occupied="lying.curing.length + lying.others.length > 0"
      :now-ms="nowMs"
    />
    <PlaceDrawing v-if="lying.curing.length + lying.others.length > 0" :place="place" :lying="lying" />
    <CureRow
      v-for="{ lot, pieces } in lying.curing"
      :key="lot.code"
      :lot="lot"
      :pieces="pieces"
      :places="places"
      :place-id="place.id"
      :now-ms="nowMs"
      :width="width"
      v-bind="daysFor(lot.rubbedOn)"
    />
    <LyingRow
      v-for="{ lot, pieces } in lying.others"
      :key="`${lot.code} ${pieces[0]!.stage}`"
      :lot="lot"
      :pieces="pieces"
      :places="places"
      :place-id="place.id"
      :now-ms="nowMs"
    />
    <p v-if="!lying.curing.length && !lying.others.length" class="small soft">Nothing lies here.</p>
  </section>
</template>
