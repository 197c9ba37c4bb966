<script setup lang="ts">
import type { Fraction } from '#core/units/quantities'
import { computed } from 'vue'
import { assumedPlan } from '#core/plan/assumed-plan'
import { withDays, type Plan } from '#core/plan/plan'
import { PURPOSES } from '#core/agents/agent-fault'
import { AGENT_TYPES, type AgentKind } from '#core/agents/agent-kinds'
import { CHOSEN_METHODS, isWet, type CureMethod } from '#core/cure/cure-method'
import { CUTS } from '#core/rules/cuts'
import { parseDecimal } from '#core/typed/parse-decimal'
import type { Allergen } from '#shared/contracts/allergens'
import { recipeInput, type Recipe } from '#shared/contracts/recipes'
import { AGENT_WORDS } from '#shared/messages/agents'
import { METHOD_WORDS } from '#shared/messages/verdict'
import { percentText } from '~/words/percent-text'
import RecipeSeason from './RecipeSeason.vue'
import PlanLine from '~/components/plans/PlanLine.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'

/** Writes a recipe, or its next revision. `code` null: a new one. */
const props = defineProps<{ from: Recipe; code: string | null; nextNumber: number }>()
const emit = defineEmits<{ saved: [code: string]; close: [] }>()
const { say } = useNotice()
const text = (share: Fraction | null) => (share === null ? '' : percentText(share))
const { draft, clear } = useDraft(`recipe-${props.code ?? 'new'}`, () => ({
  name: props.from.name,
  cut: props.from.cut,
  purpose: props.from.purpose,
  method: (props.from.method === 'salt_only' ? 'dry' : props.from.method) as CureMethod,
  saltOnly: props.from.agent === null,
  agent: props.from.agent as AgentKind | null,
  nitritePpm: String(props.from.nitritePpm),
  salt: text(props.from.saltShare),
  saltBasis: props.from.saltBasis,
  sugar: text(props.from.sugarShare),
  water: text(props.from.waterShare),
  pickUp: text(props.from.pickUp),
  seasonings: props.from.seasonings.map(s => ({
    name: s.name,
    per: s.per,
    amount: String(s.amount),
    salt: text(s.saltFraction),
    sugar: text(s.sugarFraction),
    water: text(s.waterFraction),
    allergens: [...s.allergens] as Allergen[],
    group: s.group,
  })),
  flesh: text(props.from.sides.flesh),
  fat: text(props.from.sides.fat),
  edges: text(props.from.sides.edges),
  readyFrom: String(props.from.days.readyFrom),
  bestBy: String(props.from.days.bestBy),
  plan: (props.from.plan ?? null) as Plan | null,
  note: props.from.note ?? '',
  why: '',
}))
const { save, saving, errorAt, message } = useSave<{ code: string }>(recipeInput)
const numberOf = (typed: string) => {
  const found = parseDecimal(typed)
  return found.ok ? found.value : Number.NaN
}
const share = (typed: string) => Math.round(numberOf(typed) * 1e6) / 1e8
const orNull = (typed: string) => (typed.trim() === '' ? null : share(typed))
const written = () => {
  const d = draft.value
  const { saltOnly } = d
  return {
    name: d.name,
    cut: d.cut,
    purpose: d.purpose,
    method: d.method,
    agent: saltOnly ? null : (d.agent ?? 'no_1'),
    nitritePpm: saltOnly ? 0 : numberOf(d.nitritePpm),
    saltShare: share(d.salt),
    saltBasis: d.saltBasis,
    sugarShare: share(d.sugar),
    waterShare: isWet(d.method) ? orNull(d.water) : null,
    pickUp: d.method === 'wet_pick_up' ? orNull(d.pickUp) : null,
    seasonings: d.seasonings.map(s => ({
      name: s.name,
      per: s.per,
      amount: numberOf(s.amount),
      saltFraction: share(s.salt || '0'),
      sugarFraction: share(s.sugar || '0'),
      waterFraction: share(s.water || '0'),
      allergens: s.allergens,
      group: s.group,
    })),
    sides: { flesh: share(d.flesh), fat: share(d.fat), edges: share(d.edges) },
    days: { readyFrom: numberOf(d.readyFrom), bestBy: numberOf(d.bestBy) },
    plan: d.plan && withDays(d.plan, numberOf(d.readyFrom), numberOf(d.bestBy)),
    note: d.note.trim() || null,
  }
}
const days = computed(() => ({
  readyFromDay: numberOf(draft.value.readyFrom),
  bestByDay: numberOf(draft.value.bestBy),
}))
const plan = computed({
  get: () =>
    withDays(
      draft.value.plan ?? assumedPlan({ turnEveryDays: 1, method: draft.value.method, ...days.value }),
      days.value.readyFromDay,
      days.value.bestByDay,
    ),
  set: (value: Plan) => {
    const { fromDay, toDay } = value.end
    draft.value.plan = value
    // A way to begin from brings its days along; what cannot be read yet stays as it is typed.
    if (Number.isFinite(fromDay)) draft.value.readyFrom = String(fromDay)
    if (Number.isFinite(toDay)) draft.value.bestBy = String(toDay)
  },
})
async function write(): Promise<void> {
  const made = await save(props.code ? `/api/recipes/${props.code}/revisions` : '/api/recipes', {
    recipe: written(),
    note: draft.value.why.trim() || null,
  })
  if (!made) return
  clear()
  say(
    props.code
      ? `Revision ${props.nextNumber} is written. Lots made by the earlier ones keep theirs.`
      : `${made.code} is in the book.`,
  )
  emit('saved', made.code)
}
</script>

<template>
  <form class="slip stack" :aria-label="code ? `Next revision of ${code}` : 'New recipe'" @submit.prevent="write">
    <h2>{{ code ? `Revision ${nextNumber}` : 'A new recipe' }}</h2>
    <div class="fields">
      <VTextField v-model="draft.name" label="Name" :error-messages="errorAt('recipe.name')" />
      <VSelect v-model="draft.cut" :items="[...CUTS]" label="Cut" />
      <VSelect
        v-model="draft.method"
        :items="CHOSEN_METHODS.map(value => ({ value, title: METHOD_WORDS[value].name }))"
        label="Method"
      />
      <VCheckbox v-model="draft.saltOnly" label="Salt only: no curing salt" density="compact" hide-details />
      <VSelect
        v-model="draft.purpose"
        :items="PURPOSES.map(value => ({ value, title: value === 'bacon' ? 'bacon' : 'hung to dry' }))"
        label="Becomes"
      />
      <VSelect
        v-if="!draft.saltOnly"
        v-model="draft.agent"
        :items="AGENT_TYPES.map(({ kind }) => ({ value: kind, title: AGENT_WORDS[kind].name }))"
        label="Curing agent"
        :error-messages="errorAt('recipe.agent')"
      />
      <VTextField
        v-if="!draft.saltOnly"
        v-model="draft.nitritePpm"
        label="Nitrite"
        suffix="ppm"
        inputmode="decimal"
        :error-messages="errorAt('recipe.nitritePpm')"
      />
      <VTextField
        v-model="draft.salt"
        label="Salt"
        suffix="%"
        inputmode="decimal"
        :error-messages="errorAt('recipe.saltShare')"
      />
      <VSelect
        v-model="draft.saltBasis"
        :items="[
          { value: 'total', title: 'in all' },
          { value: 'added', title: 'as added' },
        ]"
        label="Salt is counted"
      />
      <VTextField
        v-model="draft.sugar"
        label="Sugar"
        suffix="%"
        inputmode="decimal"
        :error-messages="errorAt('recipe.sugarShare')"
      />
      <VTextField
        v-if="isWet(draft.method)"
        v-model="draft.water"
        label="Water"
        suffix="% of meat"
        inputmode="decimal"
        :error-messages="errorAt('recipe.waterShare')"
      />
      <VTextField
        v-if="draft.method === 'wet_pick_up'"
        v-model="draft.pickUp"
        label="Pick-up"
        suffix="%"
        inputmode="decimal"
        :error-messages="errorAt('recipe.pickUp')"
      />
      <VTextField
        v-model="draft.readyFrom"
        label="Ready from day"
        inputmode="numeric"
        :error-messages="errorAt('recipe.days')"
      />
      <VTextField v-model="draft.bestBy" label="Best by day" inputmode="numeric" />
      <VTextField
        v-model="draft.flesh"
        label="On the flesh"
        suffix="%"
        inputmode="decimal"
        :error-messages="errorAt('recipe.sides')"
      />
      <VTextField v-model="draft.fat" label="On fat or rind" suffix="%" inputmode="decimal" />
      <VTextField v-model="draft.edges" label="On the edges" suffix="%" inputmode="decimal" />
    </div>
    <PlanLine v-if="draft.plan" v-model="plan" :days="false" :error-at="path => errorAt(`recipe.${path}`)" />
    <p v-else class="row">
      <span class="soft">Plan: as the shop usually does.</span>
      <VBtn variant="outlined" @click="draft.plan = plan">Write a plan</VBtn>
    </p>
    <RecipeSeason
      v-for="(_, i) in draft.seasonings"
      :key="i"
      v-model="draft.seasonings[i]!"
      :number="i + 1"
      :error-at="field => errorAt(`recipe.seasonings.${i}.${field}`)"
      @leave="draft.seasonings.splice(i, 1)"
    />
    <div>
      <VBtn
        variant="outlined"
        @click="
          draft.seasonings.push({
            name: '',
            per: 'percent',
            amount: '',
            salt: '',
            sugar: '',
            water: '',
            allergens: [],
            group: 'all',
          })
        "
      >
        Add a seasoning
      </VBtn>
    </div>
    <VTextField v-model="draft.note" label="Note in the recipe" maxlength="500" />
    <VTextField
      v-if="code"
      v-model="draft.why"
      label="What changed, and why"
      maxlength="500"
      :error-messages="errorAt('note')"
    />
    <SaveProblem :message="message" />
    <div class="row">
      <VBtn type="submit" color="primary" :loading="saving">
        {{
          code ? `Write revision ${nextNumber}` : 'Put it in the book'
        }}
      </VBtn><VBtn variant="text" @click="emit('close')">Put aside</VBtn>
    </div>
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0.6rem;
}
@media (--tablet) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
