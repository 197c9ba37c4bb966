<script setup lang="ts">
import { INGREDIENT_RANGE, PIECE_RANGE } from '#core/rules/ranges'
import { computed, ref } from 'vue'
import { mend, type CureMend, type Mishap, type MendStep } from '#core/cure/mend'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import { gramsOf } from './read-draft'
import type { Bench } from './use-bench'

/** Something went wrong at the bench: the way out in grams. */
const props = defineProps<{ bench: Bench }>()
const { meat, grams, ppm } = useNotation()
const KINDS = [
  { value: 'overweighed', title: 'Curing salt off' },
  { value: 'tare_forgotten', title: 'A tub was weighed along' },
  { value: 'spilled', title: 'Mix was spilled' },
  { value: 'late_piece', title: 'One more piece' },
] as const
const kind = ref<Mishap['kind']>('overweighed')
const typed = ref('')
const mixed = ref(true)
const LABELS: Record<Mishap['kind'], string> = {
  overweighed: 'Curing salt really weighed',
  tare_forgotten: 'The tub\'s weight',
  spilled: 'Mix that is left',
  late_piece: 'The late piece, green weight',
}
const range = computed(() =>
  kind.value === 'late_piece' || kind.value === 'tare_forgotten' ? { ...PIECE_RANGE, minG: 1 } : INGREDIENT_RANGE,
)
const division = computed(() => props.bench.mixScale.value?.readabilityG ?? 0.1)
const ways = computed<CureMend[] | null>(() => {
  const made = props.bench.made.value
  const massG = gramsOf(typed.value, range.value)
  if (!made || massG === null) return null
  const parts = [
    { key: 'curing salt', massG: made.agentG },
    { key: 'salt', massG: made.saltG },
    { key: 'sugar', massG: made.sugarG },
    ...made.seasonings.filter(s => s.shared).map(({ key, massG: g }) => ({ key, massG: g })),
  ].filter(part => part.massG > 0)
  const plan = {
    greenG: made.greenWeightG,
    parts,
    agentKey: made.agentG > 0 ? 'curing salt' : null,
    divisionG: division.value,
    meatDivisionG: props.bench.meatScale.value?.readabilityG ?? 5,
  }
  const mishap: Mishap
    = kind.value === 'overweighed'
      ? { kind: 'overweighed', weighedG: massG, mixed: mixed.value }
      : kind.value === 'tare_forgotten'
        ? { kind: 'tare_forgotten', tareG: massG, mixed: mixed.value }
        : kind.value === 'spilled'
          ? { kind: 'spilled', leftG: massG }
          : { kind: 'late_piece', massG }
  return mend(plan, mishap)
})
const WAYS: Record<CureMend['way'], string> = {
  take_off: 'Take it off',
  more_meat: 'Keep the mix, add meat',
  remix: 'Mix again, use a part',
  make_up: 'Weigh more',
  weigh_again: 'Weigh less of everything',
}
const words = (step: MendStep) =>
  ({
    take_off: `take off ${grams(step.massG, division.value)} of ${step.key}`,
    weigh_more: `add ${grams(step.massG, division.value)} of ${step.key}`,
    weigh_less: `weigh ${grams(step.massG, division.value)} of ${step.key}`,
    add_meat: `add ${meat(step.massG)} of meat, as pieces of this lot`,
    use_only: `mix well and use only ${grams(step.massG, division.value)}`,
    set_aside: `set ${grams(step.massG, division.value)} aside, labelled; count it as thrown away or as a mix in the Store`,
  })[step.do]
const share = computed(() => props.bench.agentLot.value?.agent?.nitriteFraction ?? 0)
</script>

<template>
  <details class="mend">
    <summary>Something went wrong?</summary>
    <div class="stack-tight inner">
      <VBtnToggle
        v-model="kind"
        mandatory
        variant="outlined"
        class="wrap"
        aria-label="What went wrong"
        @update:model-value="typed = ''"
      >
        <VBtn v-for="k in KINDS" :key="k.value" :value="k.value">{{ k.title }}</VBtn>
      </VBtnToggle>
      <div class="ask">
        <WeightField
          v-model="typed"
          :label="LABELS[kind]"
          :fine="kind === 'overweighed' || kind === 'spilled'"
          :range="range"
        />
        <VCheckbox
          v-if="kind === 'overweighed' || kind === 'tare_forgotten'"
          v-model="mixed"
          :label="kind === 'overweighed' ? 'It is mixed in already' : 'The mix is made already'"
          hide-details
        />
      </div>
      <p v-if="!bench.made.value" class="soft">Enter the pieces first.</p>
      <p v-else-if="ways && !ways.length" class="soft">Nothing to mend: this fits the plan.</p>
      <div v-for="way in ways ?? []" :key="way.way" class="way">
        <strong>{{ WAYS[way.way] }}</strong>
        <ul>
          <li v-for="(step, i) in way.steps" :key="i">{{ words(step) }}</li>
        </ul>
        <p v-if="way.after.agentG > 0" class="small soft">
          Then {{ ppm((1e6 * way.after.agentG * share) / way.after.greenG) }} by the label, as planned. Enter the
          weights as they then are: the verdict is given on them.
        </p>
      </div>
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-weight: 600;
  padding: 0.9rem 0;
}
.inner {
  padding: 0.4rem 0 1rem;
}
.wrap {
  flex-wrap: wrap;
  height: auto;
}
.ask {
  display: grid;
  grid-template-columns: minmax(0, 16rem) auto;
  gap: 1rem;
  align-items: center;
  justify-content: start;
}
.way {
  border-left: 3px solid var(--straw);
  padding-left: 0.8rem;
}
ul {
  margin: 0.2rem 0;
  padding-left: 1.1rem;
}
@media (--phone) {
  .ask {
    grid-template-columns: 1fr;
  }
}
</style>
