<script setup lang="ts">
import { PLAN_RANGE_DAYS } from '#core/rules/ranges'
import { computed } from 'vue'
import { PLANNED_TURNS, TURN_RHYTHMS, type PlannedTurn, type RhythmSegment } from '#core/turning/rhythm'
import { rhythmFrom } from '#core/plan/alters-past'
import { steadyRhythm } from '#core/plan/plan'
import { everyWords, PLANNED_TURN_WORDS } from '#shared/messages/plans'
import NumberField from '~/components/common/NumberField.vue'

/**
 * How often is turned, and how; from a later day on differently, if wanted. `lot`: it goes on already, on turning day
 * `today`: what was is kept, and the change holds from tomorrow.
 */
const props = defineProps<{ lot?: { today: number; before: readonly RhythmSegment[] } | undefined; hint: string }>()
const rhythm = defineModel<readonly RhythmSegment[]>({ required: true })
const RHYTHMS = [...TURN_RHYTHMS, null].map(every => ({
  value: every === null ? 'never' : String(every),
  title: everyWords(steadyRhythm(every)[0]!),
}))
const WAYS = PLANNED_TURNS.map(value => ({ value, title: PLANNED_TURN_WORDS[value] }))
const valueOf = ({ everyDays }: RhythmSegment) => (everyDays === null ? 'never' : String(everyDays))
const segmentOf = (every: string, how: PlannedTurn): RhythmSegment => ({
  ...steadyRhythm(every === 'never' ? null : Number(every))[0]!,
  how,
})
/** What is changed: of a lot on its way the last, else the first. */
const shown = computed(() => (props.lot ? rhythm.value.at(-1)! : rhythm.value[0]!))
const later = computed(() => (props.lot ? null : (rhythm.value[1] ?? null)))
function turned(change: { every?: string; how?: PlannedTurn }): void {
  const wanted = segmentOf(change.every ?? valueOf(shown.value), change.how ?? shown.value.how)
  const { lot } = props
  rhythm.value = lot ? rhythmFrom(lot.before, wanted, lot.today) : [wanted, ...rhythm.value.slice(1)]
}
function change(fromDay: number | null, every = later.value ? valueOf(later.value) : '2'): void {
  const first = rhythm.value[0]!
  const next = fromDay === null ? [] : [{ ...segmentOf(every, first.how), fromDay: Math.round(fromDay) }, ...rhythm.value.slice(2)]
  rhythm.value = [first, ...next]
}
</script>

<template>
  <VSelect
    :model-value="valueOf(shown)"
    :items="RHYTHMS"
    :label="lot ? 'From tomorrow' : 'Turned'"
    :hint="hint"
    persistent-hint
    @update:model-value="turned({ every: $event })"
  />
  <VSelect :model-value="shown.how" :items="WAYS" label="How" hide-details @update:model-value="turned({ how: $event })" />
  <NumberField
    v-if="!lot"
    label="Otherwise from day; empty: never"
    optional
    :min="1"
    :max="PLAN_RANGE_DAYS.max"
    :model-value="later?.fromDay ?? null"
    @update:model-value="change($event)"
  />
  <VSelect
    v-if="later"
    :model-value="valueOf(later)"
    :items="RHYTHMS"
    label="Then turned"
    hide-details
    @update:model-value="change(later.fromDay, $event)"
  />
</template>
