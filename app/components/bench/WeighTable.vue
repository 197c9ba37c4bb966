<script setup lang="ts">
import type { Grams } from '#core/units/quantities'
import { SAID_SUGAR_SHARE } from '#core/rules/house'
import { computed, ref } from 'vue'
import { isNearlyPure } from '#core/agents/agent-kinds'
import { INGREDIENT_RANGE } from '#shared/contracts/fields'
import type { BenchView } from '#shared/contracts/lots'
import type { MixRole } from '#shared/contracts/store'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import type { Bench } from './use-bench'
import WeighThrough from './WeighThrough.vue'
import { setWeighed, weighLines } from './weigh-lines'

const props = defineProps<{ bench: Bench; view: BenchView; errorAt: (path: string) => string | undefined }>()
const draft = defineModel<BenchDraft>({ required: true })
const { as, meat, grams, percent, dateInYear } = useNotation()
const through = ref(false)
const division = computed(() => props.bench.mixScale.value?.readabilityG ?? 0.1)
const plan = computed(() => props.bench.made.value)
const agentLot = computed(() => props.bench.agentLot.value)
const now = (massG: Grams | undefined) => (massG === undefined ? undefined : massG * props.bench.firstShare.value)
const rows = computed(() => [
  ...(draft.value.method === 'salt_only'
    ? []
    : [
        {
          role: 'agent' as const,
          name: agentLot.value?.kind === 'mix' ? 'Bulk mix' : 'Curing salt',
          massG: now(plan.value?.agentG),
          lot: agentLot.value,
        },
      ]),
  ...(props.bench.fromAgentOnly.value
    ? []
    : [
        { role: 'salt' as const, name: 'Salt', massG: now(plan.value?.saltG), lot: props.bench.saltLot.value },
        { role: 'sugar' as const, name: 'Sugar', massG: now(plan.value?.sugarG), lot: props.bench.sugarLot.value },
      ]),
])
const lines = computed(() => weighLines(draft.value, props.bench))
const salt = computed(() => props.bench.saltJudged.value)
const refused = computed(
  () =>
    props.bench.agentRefused.value
    && wordsFor(props.bench.agentRefused.value.code, props.bench.agentRefused.value.params, as.value),
)
const lotChoices = (role: MixRole) =>
  props.bench
    .lotsOf(role)
    .map(lot => ({
      value: lot.code,
      title: `${lot.code} ${lot.name}`,
      props: {
        subtitle: `${grams(lot.leftG)} left${lot.bestBefore && lot.bestBefore < props.view.today ? `, best before ${dateInYear(lot.bestBefore)}` : ''}${lot.iodised ? ', iodised' : ''}`,
      },
    }))
const scales = (purpose: 'meat' | 'mix') =>
  props.view.scales
    .filter(scale => scale.purpose === purpose)
    .map(scale => ({ value: scale.id, title: `${scale.name}, reads to ${scale.readabilityG} g` }))
const stateOf = (id: number | undefined) => props.view.scales.find(scale => scale.id === id)
function nextField(role: string): void {
  const fields = [...document.querySelectorAll<HTMLInputElement>('.weighed input')]
  const at = fields.findIndex(field => field.closest('tr')?.dataset.role === role)
  fields[at + 1]?.focus()
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
    <p v-if="draft.method !== 'salt_only'" class="caution">
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
        <tbody>
          <tr v-for="row in rows" :key="row.role" :data-role="row.role">
            <td>
              <strong>{{ row.name }}</strong>
              <div v-if="row.lot?.agent" class="small soft">
                {{ percent(row.lot.agent.nitriteFraction, 2) }} nitrite{{
                  row.lot.agent.nitriteAs === 'NaNO2' ? '' : ` as ${row.lot.agent.nitriteAs}`
                }}{{ row.lot.certificate ? ` by certificate ${row.lot.certificate}` : '' }}
              </div>
            </td>
            <td class="num">
              <span class="big">{{ row.massG === undefined ? '–' : grams(row.massG, division) }}</span>
            </td>
            <td class="from">
              <VSelect
                :model-value="row.lot?.code"
                :items="lotChoices(row.role)"
                :label="`${row.name} lot`"
                density="compact"
                :error-messages="errorAt(`${row.role}.lotCode`)"
                no-data-text="None in the store"
                @update:model-value="draft[row.role].lotCode = $event ?? ''"
              />
            </td>
            <td class="weighed">
              <WeightField
                v-model="draft[row.role].weighed"
                :label="`${row.name}, grams`"
                fine
                :range="INGREDIENT_RANGE"
                :error="errorAt(`${row.role}.weighed`)"
                @enter="nextField(row.role)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-if="salt && salt.status !== 'as_planned'" class="caution grave stack-tight" role="alert">
      <p v-if="salt.status === 'slip'">
        <strong>{{ percent(salt.share, 2) }} salt in all is no measured cure.</strong> The plan is
        {{ percent(salt.plannedShare, 2) }}. Check the unit and the point, and weigh the salt again.
      </p>
      <template v-else>
        <p>
          <strong>{{ percent(salt.share, 2) }} salt in all, planned {{ percent(salt.plannedShare, 2) }}.</strong> Off by
          more than a fifth. If it is meant, type the {{ bench.fromAgentOnly.value ? 'curing salt' : 'salt' }}'s weight
          a second time.
        </p>
        <WeightField
          v-model="draft.saltAgain"
          :label="`${bench.fromAgentOnly.value ? 'Curing salt' : 'Salt'} once more, grams`"
          fine
          :range="INGREDIENT_RANGE"
          :error="errorAt('saltAgain')"
        />
      </template>
    </div>
    <p v-if="agentLot?.kind === 'mix' && plan" class="soft small">
      Take {{ grams(plan.agentG, division) }} of {{ agentLot.name }}:
      {{ meat(Math.max(0, agentLot.leftG - plan.agentG)) }} will be left of {{ meat(agentLot.amountG) }}. Stir it well
      before you take.
    </p>
    <p v-if="plan" class="soft small">
      Salt comes to {{ percent(plan.totalSaltShare, 2) }} in all, {{ percent(plan.addedSaltShare, 2) }} added; sugar
      {{ percent(plan.totalSugarShare, 2)
      }}<template v-if="plan.totalSugarShare > SAID_SUGAR_SHARE">
        (<strong>over 6 %</strong>: a syrup-rich cure, of which much stays in the bag)
      </template>. Mix evenly: {{ grams(plan.mixG, division) }}, shared by weight.<template v-if="bench.firstShare.value < 1">
        The rest, {{ grams(plan.mixG * (1 - bench.firstShare.value), division) }}, goes on after the first
        draining.
      </template>
    </p>
    <div class="scales">
      <VSelect
        :model-value="bench.meatScale.value?.id"
        :items="scales('meat')"
        label="Meat weighed on"
        density="compact"
        @update:model-value="draft.meatScaleId = $event"
      />
      <VSelect
        :model-value="bench.mixScale.value?.id"
        :items="scales('mix')"
        label="Cure weighed on"
        density="compact"
        @update:model-value="draft.mixScaleId = $event"
      />
      <InstrumentNote v-if="stateOf(bench.meatScale.value?.id)" :mark="stateOf(bench.meatScale.value?.id)!" />
      <InstrumentNote v-if="stateOf(bench.mixScale.value?.id)" :mark="stateOf(bench.mixScale.value?.id)!" />
    </div>
  </section>
</template>

<style scoped>
td {
  vertical-align: middle !important;
}
.big {
  font: 700 1.7rem/1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
  white-space: nowrap;
}
.from {
  min-width: 11rem;
}
.weighed {
  min-width: 11.5rem;
}
.scales {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
@media (--phone) {
  .scales {
    grid-template-columns: 1fr;
  }
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
    border-bottom: 1px solid var(--hair);
    padding: 0.5rem 0;
  }
  td {
    border: 0 !important;
    padding: 0.2rem 0 !important;
  }
  .from,
  .weighed {
    min-width: 0;
    grid-column: 1 / -1;
  }
}
</style>
