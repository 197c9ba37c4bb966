<script setup lang="ts">
import { PLAN_RANGE_DAYS } from '#core/rules/ranges'
import { computed } from 'vue'
import { rhythmFrom } from '#core/plan/alters-past'
import type { CurePlan, EndWay, Plan } from '#core/plan/plan'
import { planDoubt } from '#core/plan/plan-fault'
import { PLAN_STARTERS, STARTER_PLANS, type PlanStarter } from '#core/plan/starters'
import { planLines } from '#shared/messages/plans'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import NumberField from '~/components/common/NumberField.vue'
import { useNotation } from '~/composables/use-notation'
import { STARTER_WORDS } from '~/words/plan-starters'
import PlanAdds from './PlanAdds.vue'
import PlanItems from './PlanItems.vue'
import PlanRhythm from './PlanRhythm.vue'

/**
 * A plan, changed in place. `lot`: it goes on already, on turning day `today`: its rhythm changes from tomorrow on.
 * `days`: its days are entered here; elsewhere they have fields of their own.
 */
const props = defineProps<{
  days: boolean
  lot?: { today: number; before: Plan } | undefined
  errorAt?: ((path: string) => string | undefined) | undefined
}>()
const plan = defineModel<Plan>({ required: true })
const { as } = useNotation()
const STARTERS = PLAN_STARTERS.map(value => ({ value, title: STARTER_WORDS[value] }))
const FACES = [
  { value: null, title: 'as it falls' },
  { value: 'flesh', title: 'flesh up first' },
  { value: 'fat', title: 'fat up first' },
]
const LIQUIDS = [
  { value: null, title: 'kept with the meat' },
  { value: 1, title: 'poured off daily' },
  { value: 2, title: 'poured off every 2 days' },
]
const ENDS: { value: EndWay; title: string }[] = [
  { value: 'days', title: 'by its days, longer is no harm' },
  { value: 'feel', title: 'when it feels stiff' },
  { value: 'hard', title: 'by the last day and no longer' },
]
const FROM: { value: Plan['end']['from']; title: string }[] = [
  { value: 'first_salt', title: 'from the rub' },
  { value: 'last_salt', title: 'from the last salt' },
]
const cure = (change: Partial<CurePlan>) => (plan.value = { ...plan.value, cure: { ...plan.value.cure, ...change } })
const end = (change: Partial<Plan['end']>) => (plan.value = { ...plan.value, end: { ...plan.value.end, ...change } })
/** Where a lot goes on already, what was is kept: its days and the rhythm up to today. */
function begin(starter: PlanStarter): void {
  const fresh = structuredClone(STARTER_PLANS[starter]) as Plan
  const { lot } = props
  plan.value = lot
    ? { ...fresh, cure: { ...fresh.cure, rhythm: rhythmFrom(lot.before.cure.rhythm, fresh.cure.rhythm.at(-1)!, lot.today) } }
    : fresh
}
const looks = computed({
  get: () => plan.value.cure.looks.join(', '),
  set: text => cure({ looks: [...new Set(text.split(/[^0-9]+/).filter(Boolean).map(Number))] }),
})
const rhythm = computed(() => planLines(plan.value, as.value).find(line => line.about === 'rhythm')!.words)
const doubt = computed(() => planDoubt(plan.value))
</script>

<template>
  <div class="stack-tight plan">
    <VSelect
      :model-value="null"
      :items="STARTERS"
      label="Begin from a way of making bacon"
      hide-details
      @update:model-value="$event && begin($event)"
    />
    <div class="fields">
      <PlanRhythm
        :model-value="plan.cure.rhythm"
        :lot="lot && { today: lot.today, before: lot.before.cure.rhythm }"
        :hint="plan.cure.rhythm.length > 1 ? rhythm : ''"
        @update:model-value="cure({ rhythm: $event })"
      />
      <VSelect
        :model-value="plan.cure.firstFace"
        :items="FACES"
        label="Lies"
        hide-details
        @update:model-value="cure({ firstFace: $event })"
      />
      <VSelect
        :model-value="plan.cure.pourOffEveryDays"
        :items="LIQUIDS"
        label="Liquid"
        hide-details
        @update:model-value="cure({ pourOffEveryDays: $event })"
      />
      <VTextField
        v-model.lazy="looks"
        label="Looked at on days"
        placeholder="2, 5"
        autocomplete="off"
        hide-details="auto"
        :error-messages="errorAt?.('plan.cure.looks')"
      />
      <VCheckbox
        :model-value="plan.cure.stacked"
        label="in a stack"
        hide-details
        @update:model-value="cure({ stacked: $event === true })"
      />
      <PlanAdds
        :model-value="plan.cure.adds"
        :last-day="plan.end.toDay"
        :error="errorAt?.('plan.cure.adds')"
        @update:model-value="cure({ adds: $event })"
      />
      <VSelect
        :model-value="plan.end.by"
        :items="ENDS"
        label="Out"
        hide-details
        @update:model-value="end({ by: $event })"
      />
      <VSelect
        v-if="plan.end.by === 'hard' && plan.cure.adds.length > 0"
        :model-value="plan.end.from"
        :items="FROM"
        label="Its days count"
        hide-details
        @update:model-value="end({ from: $event })"
      />
      <template v-if="days">
        <NumberField
          label="From day"
          :max="PLAN_RANGE_DAYS.max"
          :model-value="plan.end.fromDay"
          @update:model-value="$event !== null && end({ fromDay: Math.round($event) })"
        />
        <NumberField
          label="To day"
          :max="PLAN_RANGE_DAYS.max"
          :model-value="plan.end.toDay"
          :error="errorAt?.('plan.end')"
          @update:model-value="$event !== null && end({ toDay: Math.round($event) })"
        />
      </template>
    </div>
    <h3>After the cure</h3>
    <PlanItems :model-value="plan.then" @update:model-value="plan = { ...plan, then: $event }" />
    <p v-if="doubt" class="caution">{{ wordsFor(doubt, {}, as) }}</p>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0.6rem;
  align-items: start;
}
@media (--phone) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
