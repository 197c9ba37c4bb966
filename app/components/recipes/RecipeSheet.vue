<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { RecipeView } from '#shared/contracts/recipes'
import LotCode from '~/components/common/LotCode.vue'
import { useNotation } from '~/composables/use-notation'
import RecipeDiff from './RecipeDiff.vue'
import ScaledRecipe from './ScaledRecipe.vue'
import { planWords } from '#shared/messages/plans'
import { recipeLine, seasoningWords } from './recipe-words'

/** One recipe: a revision as it stands, scaled to any meat, and what changed between two of them. */
const props = defineProps<{ recipe: RecipeView }>()
const { as, moment } = useNotation()
const number = ref(props.recipe.revisions[0]!.number)
const against = ref<number | null>(props.recipe.revisions[1]?.number ?? null)
watch(
  () => props.recipe,
  (recipe) => {
    number.value = recipe.revisions[0]!.number
    against.value = recipe.revisions[1]?.number ?? null
  },
)
const shown = computed(
  () => props.recipe.revisions.find(one => one.number === number.value) ?? props.recipe.revisions[0]!,
)
const before = computed(() => props.recipe.revisions.find(one => one.number === against.value) ?? null)
const r = computed(() => shown.value.recipe)
const options = computed(() =>
  props.recipe.revisions.map(one => ({ value: one.number, title: `revision ${one.number}` })),
)
const allergens = computed(() => [...new Set(r.value.seasonings.flatMap(s => s.allergens))])
</script>

<template>
  <article class="sheet stack">
    <div class="row no-print">
      <VSelect v-model="number" :items="options" label="Shown" density="compact" class="pick" />
      <VSelect
        v-if="options.length > 1"
        v-model="against"
        :items="options.filter(one => one.value !== number)"
        label="against"
        density="compact"
        class="pick"
      />
    </div>
    <p>{{ recipeLine(r, as) }} {{ r.note }}</p>
    <p v-if="r.agent === null" class="caution">
      Salt does not make its own nitrite: colder, shorter, cooked before eating.
    </p>
    <p v-if="r.purpose === 'dried'" class="caution">
      Eaten uncooked it needs your process authority and trichinella control.
    </p>
    <p><strong>Plan:</strong> {{ r.plan ? `${planWords(r.plan, as)}.` : 'as the shop usually does.' }}</p>
    <ul v-if="r.seasonings.length" class="list">
      <li v-for="(s, i) in r.seasonings" :key="i">{{ seasoningWords(s, as) }}</li>
    </ul>
    <p v-if="allergens.length" class="small"><strong>Allergens:</strong> {{ allergens.join(', ') }}.</p>
    <p class="small soft">
      Revision {{ shown.number }}, {{ moment(shown.atMs) }}, {{ shown.by
      }}<template v-if="shown.note">: {{ shown.note }}</template>.
      <template v-if="shown.lots.length">
        Made by it: <template v-if="shown.made > shown.lots.length">{{ shown.made }} lots, lately </template>
        <span v-for="code in shown.lots" :key="code"><LotCode :code="code" /> </span>
      </template><template v-else>No lot was made by it yet.</template>
    </p>
    <RecipeDiff v-if="before" :before="before" :after="shown" />
    <ScaledRecipe :recipe="r" />
  </article>
</template>

<style scoped>
.pick {
  max-width: 13rem;
}
.list {
  margin: 0;
  padding-left: 1.1rem;
}
</style>
