<script setup lang="ts">
import { computed, ref } from 'vue'
import { isNearlyPure } from '#core/agents/agent-kinds'
import type { Grams } from '#core/units/quantities'
import type { BenchView } from '#shared/contracts/lots'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { useNotation } from '~/composables/use-notation'
import { isSaltOnly, type BenchDraft } from './bench-draft'
import SaltAgain from './SaltAgain.vue'
import type { Bench } from './use-bench'
import { setWeighed, weighLines } from './weigh-lines'
import WeighRow from './WeighRow.vue'
import WeighScales from './WeighScales.vue'
import WeighThrough from './WeighThrough.vue'
import { mixWords, takeWords } from './weigh-words'

/** What to weigh, from which lots, on which scales, and what it comes to. */
const props = defineProps<{ bench: Bench; view: BenchView; errorAt: (path: string) => string | undefined }>()
const draft = defineModel<BenchDraft>({ required: true })
const { as } = useNotation()
const through = ref(false)
const division = computed(() => props.bench.mixScale.value?.readabilityG ?? 0.1)
const plan = computed(() => props.bench.made.value)
const agentLot = computed(() => props.bench.agentLot.value)
const now = (massG: Grams | undefined) => (massG === undefined ? undefined : massG * props.bench.firstShare.value)
const rows = computed(() => {
  const { saltLot, sugarLot, fromAgentOnly } = props.bench
  const agentName = agentLot.value?.kind === 'mix' ? 'Bulk mix' : 'Curing salt'
  const agent = { role: 'agent' as const, name: agentName, massG: now(plan.value?.agentG), lot: agentLot.value }
  const salt = { role: 'salt' as const, name: 'Salt', massG: now(plan.value?.saltG), lot: saltLot.value }
  const sugar = { role: 'sugar' as const, name: 'Sugar', massG: now(plan.value?.sugarG), lot: sugarLot.value }
  return [...(isSaltOnly(draft.value) ? [] : [agent]), ...(fromAgentOnly.value ? [] : [salt, sugar])]
})
const lines = computed(() => weighLines(draft.value, props.bench))
const mix = computed(
  () => plan.value && mixWords(plan.value, props.bench.firstShare.value, division.value, as.value),
)
const refused = computed(() => {
  const why = props.bench.agentRefused.value
  return why && wordsFor(why.code, why.params, as.value)
})
const body = ref<HTMLElement | null>(null)
/** Enter goes on to the next weight. */
function nextField(row: number): void {
  body.value?.querySelectorAll<HTMLInputElement>('.weighed input')[row + 1]?.focus()
}
</script>

<template>
  <section aria-labelledby="weigh-head" class="stack-tight">
    <div class="ruled-head">
      <h2 id="weigh-head">Weigh{{ bench.firstShare.value < 1 ? ', first application' : '' }}</h2>
      <VBtn v-if="lines.length" variant="outlined" @click="through = true">One by one, large</VBtn>
    </div>
    <WeighThrough
      v-model="through"
      :lines="lines"
      :readability-g="division"
      @weighed="(key, typed) => setWeighed(draft, key, typed)"
    />
    <p v-if="!isSaltOnly(draft)" class="caution">
      <strong>Curing salt is poisonous.</strong> Weigh it, never by eye; keep it locked, apart from table salt. No. 1 is
      not no. 2.<template v-if="agentLot?.agent && isNearlyPure(agentLot.agent)">
        {{ ' ' }}<strong>This one is nearly pure: one gram can kill.</strong> Only on a scale that reads to 0.01 g.
      </template>
    </p>
    <p v-if="refused" class="caution grave" role="alert">{{ refused }}</p>
    <div class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Ingredient</th>
            <th scope="col" class="num">Weigh</th>
            <th scope="col">From</th>
            <th scope="col">Really weighed</th>
          </tr>
        </thead>
        <tbody ref="body">
          <WeighRow
            v-for="(row, i) in rows"
            :key="row.role"
            v-model:weighed="draft[row.role].weighed"
            :data-role="row.role"
            :name="row.name"
            :mass-g="row.massG"
            :readability-g="division"
            :lot="row.lot"
            :choices="bench.lotsOf(row.role)"
            :today="view.today"
            :lot-error="errorAt(`${row.role}.lotCode`)"
            :weighed-error="errorAt(`${row.role}.weighed`)"
            @lot="draft[row.role].lotCode = $event"
            @enter="nextField(i)"
          />
        </tbody>
      </table>
    </div>
    <SaltAgain v-model="draft.saltAgain" :bench="bench" :error="errorAt('saltAgain')" />
    <p v-if="agentLot?.kind === 'mix' && plan" class="soft small">{{ takeWords(agentLot, plan.agentG, division, as) }}</p>
    <p v-if="mix" class="soft small">
      {{ mix.salt }}<template v-if="mix.sweet">
        (<strong>{{ mix.sweet }}</strong>: a syrup-rich cure, of which much stays in the bag)
      </template>. {{ mix.share }} {{ mix.rest }}
    </p>
    <WeighScales v-model="draft" :bench="bench" :view="view" />
  </section>
</template>

<style scoped>
@media (--phone) {
  thead {
    display: none;
  }
}
</style>
