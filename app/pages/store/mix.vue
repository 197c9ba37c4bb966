<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { navigateTo } from '#imports'
import { bulkAgent } from '#core/cure/bulk-mix'
import { formulate } from '#core/cure/formulate'
import { GRAMS_PER_KILOGRAM } from '#core/units/quantities'
import { parseDecimal } from '#core/units/parse-decimal'
import { INGREDIENT_RANGE } from '#shared/contracts/fields'
import type { BenchView } from '#shared/contracts/lots'
import type { Problem } from '#shared/contracts/problem'
import { bulkMixInput } from '#shared/contracts/rub'
import { wordsFor } from '#shared/messages/en'
import { read } from '~/api/client'
import { gramsOf, lotsFor, readTargets } from '~/components/bench/read-draft'
import { emptyBench } from '~/components/bench/bench-draft'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** A mix for many kilograms, weighed once and dispensed by weight: a lot of its own in the Store. */
const session = useSession()
const { as, meat, grams, percent } = useNotation()
const recorded = useRecorded()
const view = ref<BenchView | null>(null)
const lost = ref<Problem | null>(null)
const { draft, clear } = useDraft('bulk-mix', () => ({ name: 'House mix', forKg: '30', ppm: '150', saltShare: '2.5', sugarShare: '1', bestBefore: '', agent: '', salt: '', sugar: '', weighed: { agent: '', salt: '', sugar: '' }, scaleId: null as number | null }))
const { save, saving, errorAt, message } = useSave<{ code: string }>(bulkMixInput)
const ROLES = ['agent', 'salt', 'sugar'] as const
const NAMES = { agent: 'Curing salt', salt: 'Salt', sugar: 'Sugar' }
const lots = (role: (typeof ROLES)[number]) => lotsFor(view.value?.ingredients ?? [], role, view.value?.today ?? '').filter(lot => lot.kind !== 'mix')
const chosen = (role: (typeof ROLES)[number]) => lots(role).find(lot => lot.code === draft.value[role]) ?? lots(role)[0]
const scale = computed(() => view.value?.scales.find(one => one.id === draft.value.scaleId) ?? view.value?.scales.find(one => one.purpose === 'mix'))
const numberOf = (typed: string) => { const found = parseDecimal(typed); return found.ok ? found.value : 0 }
const question = computed(() => {
  const targets = readTargets({ ...emptyBench(), saltShare: draft.value.saltShare, sugarShare: draft.value.sugarShare, targetPpm: numberOf(draft.value.ppm) })
  const agent = chosen('agent')?.agent
  const made = targets && agent && scale.value ? formulate({ piecesG: [numberOf(draft.value.forKg) * GRAMS_PER_KILOGRAM], agent, targets, readabilityG: scale.value.readabilityG }) : null
  return made
})
const plan = computed(() => question.value?.ok ? question.value.value : null)
const planFault = computed(() => question.value && !question.value.ok ? wordsFor(question.value.code, question.value.params, as.value) : '')
const planned = (role: (typeof ROLES)[number]) => plan.value ? { agent: plan.value.agentG, salt: plan.value.saltG, sugar: plan.value.sugarG }[role] : 0
const parts = computed(() => ROLES.flatMap((role) => {
  const lot = chosen(role)
  return lot && planned(role) > 0 ? [{ role, lot }] : []
}))
const perKgG = computed(() => {
  const agent = chosen('agent')?.agent
  if (!agent || !scale.value) return null
  const weighed = parts.value.map(({ role, lot }) => ({ role, massG: gramsOf(draft.value.weighed[role], INGREDIENT_RANGE) ?? planned(role), saltFraction: lot.composition.saltFraction, sugarFraction: lot.composition.sugarFraction }))
  const mix = weighed.length > 1 ? bulkAgent(agent, weighed, scale.value.readabilityG) : null
  return mix?.ok ? numberOf(draft.value.ppm) * GRAMS_PER_KILOGRAM / (1e6 * mix.value.nitriteFraction) : null
})
async function load(): Promise<void> {
  const reply = await read<BenchView>('/api/bench')
  if (reply.ok) view.value = reply.value
  lost.value = reply.ok ? null : reply.problem
}
async function make(): Promise<void> {
  const done = await save('/api/mixes', {
    name: draft.value.name, forKg: draft.value.forKg, ppm: draft.value.ppm, scaleId: scale.value?.id ?? 0, bestBefore: draft.value.bestBefore || null,
    parts: parts.value.map(({ role, lot }) => ({ lotCode: lot.code, weighed: draft.value.weighed[role] })),
  })
  if (!done) return
  clear()
  recorded(`${done.code} is mixed and on the shelf.`, done.eventId, load)
  await navigateTo('/store')
}
onMounted(load)
</script>

<template>
  <div>
    <PageHead title="Bulk mix" sub="Weighed once for many kilograms, then dispensed by weight. Stir well: an uneven mix burns here and leaves grey there." />
    <LoadProblem v-if="lost" :problem="lost" @again="load" />
    <p v-else-if="!view" class="empty">Clearing the big bowl…</p>
    <p v-else-if="!session.mayWrite" class="empty">Mixes are made by makers. They stand in the Store with what went in.</p>
    <form v-else class="stack mix" @submit.prevent="make">
      <div class="fields">
        <VTextField v-model="draft.name" label="Name on the tub" :error-messages="errorAt('name')" />
        <VTextField v-model="draft.forKg" label="For meat" suffix="kg" inputmode="decimal" :error-messages="errorAt('forKg')" />
        <VTextField v-model="draft.ppm" label="Nitrite" suffix="ppm" inputmode="decimal" :error-messages="errorAt('ppm')" />
        <VTextField v-model="draft.saltShare" label="Salt" suffix="%" inputmode="decimal" />
        <VTextField v-model="draft.sugarShare" label="Sugar" suffix="%" inputmode="decimal" />
        <VTextField v-model="draft.bestBefore" type="date" label="Best before" />
      </div>
      <p class="caution"><strong>A tub of this is curing salt.</strong> Label it with its code, dye it or keep it apart, locked, away from table salt.</p>
      <table class="ruled">
        <thead><tr><th scope="col">Ingredient</th><th scope="col" class="num">Weigh</th><th scope="col">From</th><th scope="col">Really weighed</th></tr></thead>
        <tbody>
          <tr v-for="({ role, lot }, i) in parts" :key="role">
            <td><strong>{{ NAMES[role] }}</strong></td><td class="num"><span class="big">{{ grams(planned(role), scale?.readabilityG) }}</span></td>
            <td><VSelect :model-value="lot.code" :items="lots(role).map(one => ({ value: one.code, title: `${one.code} ${one.name}` }))" :label="`${NAMES[role]} lot`" density="compact" :error-messages="errorAt(`parts.${i}.lotCode`)" @update:model-value="draft[role] = $event" /></td>
            <td><WeightField v-model="draft.weighed[role]" :label="`${NAMES[role]}, grams`" fine :range="INGREDIENT_RANGE" :error="errorAt(`parts.${i}.weighed`)" /></td>
          </tr>
        </tbody>
      </table>
      <p v-if="planFault" class="caution grave" role="alert">{{ planFault }}</p>
      <p v-if="errorAt('parts')" class="caution grave" role="alert">{{ errorAt('parts') }}</p>
      <p v-if="plan && perKgG">{{ meat(plan.mixG) }} in all. Take <strong>{{ grams(perKgG) }}</strong> for each kilogram of meat: {{ draft.ppm }} ppm and {{ percent(plan.totalSaltShare, 2) }} of salt.</p>
      <VSelect :model-value="scale?.id" :items="view.scales.filter(one => one.purpose === 'mix').map(one => ({ value: one.id, title: `${one.name}, reads to ${one.readabilityG} g` }))" label="Weighed on" density="compact" class="scale" @update:model-value="draft.scaleId = $event" />
      <SaveProblem :message="message" />
      <div><VBtn type="submit" class="floor" color="primary" :loading="saving">Mixed, put it on the shelf</VBtn></div>
    </form>
  </div>
</template>

<style scoped>
.mix { max-width: 62rem; }
.fields { display: grid; grid-template-columns: 2fr repeat(5, 1fr); gap: .6rem; }
.big { font: 700 1.7rem/1 var(--slab); font-variant-numeric: lining-nums tabular-nums; white-space: nowrap; }
.scale { max-width: 24rem; }
@media (max-width: 860px) { .fields { grid-template-columns: 1fr 1fr; } thead { display: none; } tr { display: grid; } }
</style>
