<script setup lang="ts">
import { BRINE_RANGE, INGREDIENT_RANGE } from '#core/rules/ranges'
import { computed } from 'vue'
import { isTied } from '#core/agents/tie-line'
import { isWet } from '#core/cure/cure-method'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import { isSaltOnly, type BenchDraft } from './bench-draft'
import TieLine from './TieLine.vue'
import type { Bench } from './use-bench'

const props = defineProps<{ bench: Bench; errorAt: (path: string) => string | undefined }>()
const draft = defineModel<BenchDraft>({ required: true })
const { meat, ppm, percent } = useNotation()
const wet = computed(() => isWet(draft.value.method))
const agent = computed(() => props.bench.agentLot.value?.agent ?? null)
const tied = computed(() => agent.value !== null && props.bench.agentLot.value?.kind !== 'mix' && isTied(agent.value))
const limits = computed(() => props.bench.limits.value)
const outside = computed(
  () =>
    limits.value
    && !isSaltOnly(draft.value)
    && (draft.value.targetPpm > limits.value.maxPpm || draft.value.targetPpm < limits.value.floorPpm),
)
const ppmText = (value: string) => {
  const number = Number(value.replace(',', '.'))
  if (value.trim() !== '' && Number.isFinite(number)) draft.value.targetPpm = number
}
</script>

<template>
  <section aria-labelledby="recipe-head" class="stack-tight">
    <h2 id="recipe-head">
      Recipe, on {{ draft.method === 'wet_equilibrium' ? 'meat and brine together' : 'green weight' }}
    </h2>
    <p v-if="draft.recipe" class="small soft">
      {{ draft.recipe.code }} {{ draft.recipe.name }}, revision {{ draft.recipe.number }}. What you change here changes
      this lot, not the book.
    </p>
    <div class="fields">
      <VTextField
        v-if="!bench.fromAgentOnly.value"
        v-model="draft.saltShare"
        label="Salt"
        suffix="%"
        inputmode="decimal"
        :error-messages="errorAt('targets.saltShare')"
      />
      <VTextField
        v-if="!bench.fromAgentOnly.value"
        v-model="draft.sugarShare"
        label="Sugar"
        suffix="%"
        inputmode="decimal"
        :error-messages="errorAt('targets.sugarShare')"
      />
      <VTextField
        v-if="!isSaltOnly(draft)"
        :model-value="String(draft.targetPpm)"
        label="Nitrite target"
        suffix="ppm"
        inputmode="decimal"
        :error-messages="errorAt('targets.nitritePpm')"
        @update:model-value="ppmText"
      />
      <VSelect
        v-if="!bench.fromAgentOnly.value"
        v-model="draft.saltBasis"
        label="Salt is counted"
        :items="[
          { value: 'total', title: 'in all' },
          { value: 'added', title: 'as added' },
        ]"
      />
    </div>
    <p v-if="outside" class="caution">
      The target of {{ ppm(draft.targetPpm) }} lies outside {{ ppm(limits!.floorPpm) }} to {{ ppm(limits!.maxPpm) }},
      the span of {{ limits!.row.source }}.
    </p>
    <div v-if="wet || draft.method === 'two_applications' || draft.method === 'excess'" class="fields">
      <VTextField
        v-if="draft.method === 'two_applications'"
        v-model="draft.firstShare"
        label="On now"
        suffix="%"
        inputmode="decimal"
        :error-messages="errorAt('firstShare')"
      />
      <template v-if="wet">
        <VTextField v-model="draft.waterShare" label="Water for the brine" suffix="% of meat" inputmode="decimal" />
        <WeightField
          v-model="draft.water"
          label="Water really weighed"
          :range="BRINE_RANGE"
          :error="errorAt('water')"
        />
      </template>
      <VTextField
        v-if="draft.method === 'wet_pick_up'"
        v-model="draft.mostPickUp"
        label="Takes up at most"
        suffix="%"
        inputmode="decimal"
        :error-messages="errorAt('mostPickUp')"
      />
      <WeightField
        v-if="draft.method === 'excess'"
        v-model="draft.weighedBack"
        label="Shaken off, weighed back"
        fine
        :range="INGREDIENT_RANGE"
        :error="errorAt('weighedBack')"
      />
    </div>
    <p v-if="wet && bench.made.value" class="small soft">
      Weigh {{ meat(bench.made.value.waterG) }} of water. Salt comes to
      {{ percent(bench.made.value.totalSaltShare, 2) }}
      {{ draft.method === 'wet_equilibrium' ? 'in meat and brine once they are even' : 'in the meat at that pick-up' }}.
    </p>
    <TieLine v-if="tied && limits" v-model="draft" :agent="agent!" :limits="limits" />
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0.6rem;
}
@media (--phone) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
