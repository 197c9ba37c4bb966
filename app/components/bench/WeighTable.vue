<script setup lang="ts">
import { computed } from 'vue'
import { INGREDIENT_RANGE } from '#shared/contracts/fields'
import type { BenchView } from '#shared/contracts/lots'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import type { useBench } from './use-bench'

const props = defineProps<{ bench: ReturnType<typeof useBench>, view: BenchView, errorAt: (path: string) => string | undefined }>()
const draft = defineModel<BenchDraft>({ required: true })
const { grams, percent } = useNotation()
const division = computed(() => props.bench.mixScale.value?.readabilityG ?? 0.1)
const plan = computed(() => props.bench.plan.value?.ok ? props.bench.plan.value.value : null)
const rows = computed(() => [
  ...(draft.value.saltOnly ? [] : [{ role: 'agent' as const, kind: 'curing_salt' as const, name: 'Curing salt', massG: plan.value?.agentG, lot: props.bench.agentLot.value }]),
  { role: 'salt' as const, kind: 'salt' as const, name: 'Salt', massG: plan.value?.saltG, lot: props.bench.saltLot.value },
  { role: 'sugar' as const, kind: 'sugar' as const, name: 'Sugar', massG: plan.value?.sugarG, lot: props.bench.sugarLot.value },
])
const lotChoices = (kind: 'curing_salt' | 'salt' | 'sugar') => props.bench.lotsOf(kind).map(lot => ({ value: lot.code, title: `${lot.code} ${lot.name}` }))
const scales = (purpose: 'meat' | 'mix') => props.view.scales.filter(scale => scale.purpose === purpose).map(scale => ({ value: scale.id, title: `${scale.name}, reads to ${scale.readabilityG} g` }))
const stateOf = (id: number | undefined) => props.view.scales.find(scale => scale.id === id)
function nextField(role: string): void {
  const fields = [...document.querySelectorAll<HTMLInputElement>('.weighed input')]
  const at = fields.findIndex(field => field.closest('tr')?.dataset.role === role)
  fields[at + 1]?.focus()
}
</script>

<template>
  <section aria-labelledby="weigh-head" class="stack-tight">
    <h2 id="weigh-head">Weigh</h2>
    <p v-if="!draft.saltOnly" class="caution"><strong>Curing salt is poisonous.</strong> Weigh it, never by eye; keep it locked, apart from table salt. No. 1 is not no. 2.</p>
    <div class="scroll-x">
      <table class="ruled">
        <thead><tr><th scope="col">Ingredient</th><th scope="col" class="num">Weigh</th><th scope="col">From</th><th scope="col">Really weighed</th></tr></thead>
        <tbody>
          <tr v-for="row in rows" :key="row.role" :data-role="row.role">
            <td><strong>{{ row.name }}</strong><div v-if="row.lot?.agent" class="small soft">{{ percent(row.lot.agent.nitriteFraction, 2) }} nitrite by certificate {{ row.lot.certificate }}</div></td>
            <td class="num"><span class="big">{{ row.massG === undefined ? '–' : grams(row.massG, division) }}</span></td>
            <td class="from">
              <VSelect
                :model-value="row.lot?.code" :items="lotChoices(row.kind)" :label="`${row.name} lot`" density="compact" :error-messages="errorAt(`${row.role}.lotCode`)"
                no-data-text="None in the store" @update:model-value="draft[row.role].lotCode = $event ?? ''"
              />
            </td>
            <td class="weighed"><WeightField v-model="draft[row.role].weighed" :label="`${row.name}, grams`" fine :range="INGREDIENT_RANGE" :error="errorAt(`${row.role}.weighed`)" @enter="nextField(row.role)" /></td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="row spread">
      <p v-if="plan" class="soft small">Salt comes to {{ percent(plan.totalSaltShare, 2) }} in all, {{ percent(plan.addedSaltShare, 2) }} added. Mix evenly: {{ grams(plan.mixG, division) }}, shared by weight.</p>
    </div>
    <div class="scales">
      <VSelect :model-value="bench.meatScale.value?.id" :items="scales('meat')" label="Meat weighed on" density="compact" @update:model-value="draft.meatScaleId = $event" />
      <VSelect :model-value="bench.mixScale.value?.id" :items="scales('mix')" label="Cure weighed on" density="compact" @update:model-value="draft.mixScaleId = $event" />
      <InstrumentNote v-if="stateOf(bench.meatScale.value?.id)" :mark="stateOf(bench.meatScale.value?.id)!" />
      <InstrumentNote v-if="stateOf(bench.mixScale.value?.id)" :mark="stateOf(bench.mixScale.value?.id)!" />
    </div>
  </section>
</template>

<style scoped>
td { vertical-align: middle !important; }
.big { font: 700 1.7rem/1 var(--slab); font-variant-numeric: lining-nums tabular-nums; white-space: nowrap; }
.from { min-width: 12rem; }
.weighed { min-width: 9.5rem; }
.scales { display: grid; grid-template-columns: 1fr 1fr; gap: .6rem; }
@media (max-width: 620px) {
  .scales { grid-template-columns: 1fr; }
  thead { display: none; } tr { display: grid; grid-template-columns: 1fr auto; border-bottom: 1px solid var(--hair); padding: .5rem 0; } td { border: 0 !important; padding: .2rem 0 !important; } .from, .weighed { min-width: 0; grid-column: 1 / -1; }
}
</style>
