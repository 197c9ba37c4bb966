<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { parseWeight } from '#core/units/parse-weight'
import { DELIVERY_RANGE } from '#shared/contracts/fields'
import type { RecipeView } from '#shared/contracts/recipes'
import { AGENT_WORDS } from '#shared/messages/agents'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { METHOD_WORDS } from '#shared/messages/verdict'
import { diffRecipes } from '#shared/recipes/diff-recipes'
import { scaleRecipe } from '#shared/recipes/scale-recipe'
import LotCode from '~/components/common/LotCode.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import { fieldWords, seasoningWords, valueWords } from './recipe-words'

/** One recipe: a revision as it stands, scaled to any meat, and what changed between two of them. */
const props = defineProps<{ recipe: RecipeView }>()
const { as, meat, grams, moment } = useNotation()
const number = ref(props.recipe.revisions[0]!.number)
const against = ref<number | null>(props.recipe.revisions[1]?.number ?? null)
const forMeat = ref('10 kg')
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
const changes = computed(() => (before.value ? diffRecipes(before.value.recipe, shown.value.recipe) : []))
const PIECES = 4
const massG = computed(() => {
  const found = parseWeight(forMeat.value, DELIVERY_RANGE)
  return found.ok ? found.value.netG : null
})
const scaled = computed(() =>
  massG.value
    ? scaleRecipe(
        shown.value.recipe,
        Array.from({ length: PIECES }, () => massG.value! / PIECES),
        0.1,
      )
    : null,
)
const r = computed(() => shown.value.recipe)
const told = (field: 'nitritePpm' | 'saltShare' | 'sugarShare' | 'waterShare') =>
  valueWords(field, r.value[field], as.value)
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
    <p>
      {{ r.cut }}, {{ METHOD_WORDS[r.method].name.toLowerCase() }},
      {{ r.purpose === 'bacon' ? 'bacon' : 'hung to dry' }}.
      <template v-if="r.agent">{{ AGENT_WORDS[r.agent].name }} for {{ told('nitritePpm') }}. </template>Salt
      {{ told('saltShare') }} {{ r.saltBasis === 'total' ? 'in all' : 'added' }}, sugar {{ told('sugarShare')
      }}<template v-if="r.waterShare !== null">, water {{ told('waterShare') }} of the meat</template>. Ready from day
      {{ r.days.readyFrom }}, best by {{ r.days.bestBy }}. {{ r.note }}
    </p>
    <p v-if="r.method === 'salt_only'" class="caution">
      Salt does not make its own nitrite: colder, shorter, cooked before eating.
    </p>
    <p v-if="r.purpose === 'dried'" class="caution">
      Eaten uncooked it needs your process authority and trichinella control.
    </p>
    <ul v-if="r.seasonings.length" class="list">
      <li v-for="(s, i) in r.seasonings" :key="i">{{ seasoningWords(s, as) }}</li>
    </ul>
    <p v-if="allergens.length" class="small"><strong>Allergens:</strong> {{ allergens.join(', ') }}.</p>
    <p class="small soft">
      Revision {{ shown.number }}, {{ moment(shown.atMs) }}, {{ shown.by
      }}<template v-if="shown.note">: {{ shown.note }}</template>.
      <template v-if="shown.lots.length">
        Made by it: <template v-if="shown.made > shown.lots.length">{{ shown.made }} lots, lately </template><span v-for="code in shown.lots" :key="code"><LotCode :code="code" /> </span>
      </template><template v-else>No lot was made by it yet.</template>
    </p>
    <section v-if="before" class="stack-tight" aria-labelledby="diff-head">
      <h3 id="diff-head">From revision {{ before.number }} to {{ shown.number }}</h3>
      <table v-if="changes.length" class="ruled">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Revision {{ before.number }}</th>
            <th scope="col">Revision {{ shown.number }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(change, i) in changes" :key="i">
            <td>{{ fieldWords(change.field) }}</td>
            <td>
              <del>{{ valueWords(change.field, change.before, as) }}</del>
            </td>
            <td>
              <ins>{{ valueWords(change.field, change.after, as) }}</ins>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="soft">Nothing is different.</p>
    </section>
    <section class="stack-tight" aria-labelledby="scale-head">
      <div class="row spread head">
        <h3 id="scale-head">For this meat</h3>
        <WeightField v-model="forMeat" label="Green weight" :range="DELIVERY_RANGE" class="pick no-print" />
      </div>
      <table v-if="scaled?.ok" class="ruled">
        <tbody>
          <tr v-if="scaled.value.waterG">
            <td>Water</td>
            <td class="num">
              <strong>{{ meat(scaled.value.waterG) }}</strong>
            </td>
          </tr>
          <tr v-if="r.agent">
            <td>{{ AGENT_WORDS[r.agent].name }}</td>
            <td class="num">
              <strong>{{ grams(scaled.value.agentG) }}</strong>
            </td>
          </tr>
          <tr v-if="scaled.value.saltG">
            <td>Salt</td>
            <td class="num">
              <strong>{{ grams(scaled.value.saltG) }}</strong>
            </td>
          </tr>
          <tr v-if="scaled.value.sugarG">
            <td>Sugar</td>
            <td class="num">
              <strong>{{ grams(scaled.value.sugarG) }}</strong>
            </td>
          </tr>
          <tr v-for="s in scaled.value.seasonings" :key="s.key">
            <td>
              {{ s.key }}<span v-if="!s.shared" class="soft small"> (its own pieces, of {{ PIECES }} alike)</span>
            </td>
            <td class="num">
              <strong>{{ grams(s.massG) }}</strong>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="scaled" class="caution grave">{{ wordsFor(scaled.code, scaled.params, as) }}</p>
      <p class="small soft">
        The agent as its label usually says. On the Bench the certificate of your own lot counts.
      </p>
    </section>
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
ins {
  text-decoration: none;
  font-weight: 600;
}
del {
  color: var(--soft);
}
.head h3 {
  align-self: center;
}
</style>
