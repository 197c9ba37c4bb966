<script setup lang="ts">
import { computed, ref } from 'vue'
import { NuxtLink } from '#components'
import { readCode } from '#core/trace/code'
import type { CardView } from '#shared/contracts/cards'
import type { BenchView } from '#shared/contracts/lots'
import { wordsOf } from '#shared/messages/refusals/catalogue'
import { problemWords, read } from '~/api/client'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { applyRecipe } from './apply-recipe'
import { emptyBench, type BenchDraft } from './bench-draft'

/** How a bench begins: a recipe from the book, or a card that was laid out before. */
const props = defineProps<{ view: BenchView }>()
const draft = defineModel<BenchDraft>({ required: true })
const { as, moment } = useNotation()
const recorded = useRecorded()
const { save, saving, message } = useSave<{ code: string }>()
const typed = ref('')
const fault = ref('')
const recipes = computed(() =>
  props.view.recipes
    .flatMap(recipe =>
      recipe.revisions
        .slice(0, 1)
        .map(revision => ({
          value: revision.id,
          title: `${recipe.name}`,
          props: { subtitle: `${recipe.code}, revision ${revision.number}, ${revision.recipe.cut}` },
          cut: revision.recipe.cut,
        })),
    )
    .toSorted((a, b) => Number(b.cut === draft.value.cut) - Number(a.cut === draft.value.cut)),
)

function choose(revisionId: number | null): void {
  if (revisionId === null) {
    draft.value.recipe = null
    return
  }
  const recipe = props.view.recipes.find(one => one.revisions.some(revision => revision.id === revisionId))!
  draft.value = applyRecipe(draft.value, recipe, revisionId, {
    ingredients: props.view.ingredients,
    today: props.view.today,
  })
}
/** A card is read by people who write other units: a bare figure takes its own along. */
const withUnit = (typed: string): string =>
  /[a-z"″]\s*$/i.test(typed) ? typed : `${typed.trim()} ${as.value.mass === 'us' ? 'in' : 'mm'}`
async function openCard(raw: string): Promise<void> {
  const code = readCode(raw)?.code
  fault.value = code ? '' : wordsOf('not_a_code', {}, as.value)
  if (!code) return
  const reply = await read<CardView>(`/api/cards/${code}`)
  if (!reply.ok) fault.value = problemWords(reply.problem, as.value)
  else if (reply.value.lot) fault.value = wordsOf('card_used', { code }, as.value)
  else {
    draft.value = { ...emptyBench(), ...(reply.value.draft as unknown as BenchDraft), cardCode: code }
    typed.value = ''
  }
}
async function take(raw: string | null): Promise<void> {
  typed.value = raw ?? ''
  if (raw) await openCard(raw)
}
async function lay(): Promise<void> {
  const made = await save('/api/cards', {
    draft: { ...draft.value, thickness: withUnit(draft.value.thickness) },
    code: draft.value.cardCode,
  })
  if (!made) return
  draft.value.cardCode = made.code
  recorded(`Kept as bench card ${made.code}.`, null, async () => {})
}
</script>

<template>
  <section class="start no-print" aria-label="Begin with">
    <VSelect
      :model-value="draft.recipe?.revisionId ?? null"
      :items="recipes"
      label="Recipe from the book"
      clearable
      no-data-text="The recipe book is empty"
      density="compact"
      @update:model-value="choose"
    />
    <VCombobox
      :model-value="typed || null"
      :items="view.cards.map(card => ({ value: card.code, title: `${card.code}, laid ${moment(card.atMs)}` }))"
      :return-object="false"
      label="Bench card: scan or type"
      density="compact"
      :error-messages="fault ? [fault] : []"
      @update:model-value="take($event)"
    />
    <div class="row">
      <VBtn variant="outlined" :disabled="!draft.pieces.length" :loading="saving" @click="lay">
        {{
          draft.cardCode ? `Keep ${draft.cardCode}` : 'Keep as a card'
        }}
      </VBtn>
      <VBtn v-if="draft.cardCode" variant="text" :to="`/bench/card/${draft.cardCode}`">
        Card to print
      </VBtn>
    </div>
    <p class="small links">
      <NuxtLink to="/bench/spoons">Check a recipe in spoons</NuxtLink>
      <NuxtLink to="/store/mix">Make a bulk mix</NuxtLink> <NuxtLink to="/bench/practice">Practice</NuxtLink>
    </p>
    <SaveProblem :message="message" />
  </section>
</template>

<style scoped>
.start {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) auto;
  gap: 0.7rem 1rem;
  align-items: start;
  margin-bottom: 1.2rem;
}
.links {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 1.4rem;
  margin-top: -0.6rem;
}
@media (--tablet) {
  .start {
    grid-template-columns: minmax(0, 1fr);
  }
  .links a {
    padding: 0.7rem 0;
  }
}
</style>
