<script setup lang="ts">
import { DELIVERY_RANGE } from '#core/rules/ranges'
import { computed, ref } from 'vue'
import { parseWeight } from '#core/typed/parse-weight'
import type { Recipe } from '#shared/contracts/recipes'
import { AGENT_WORDS } from '#shared/messages/agents'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { scaleRecipe } from '#shared/recipes/scale-recipe'
import AmountRow from '~/components/common/AmountRow.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'

/** A recipe for any meat, in grams. */
const props = defineProps<{ recipe: Recipe }>()
const { as, meat, grams } = useNotation()
const forMeat = ref('10 kg')
const PIECES = 4
const READABILITY_G = 0.1
const scaled = computed(() => {
  const found = parseWeight(forMeat.value, DELIVERY_RANGE)
  if (!found.ok) return null
  const piecesG = Array.from({ length: PIECES }, () => found.value.netG / PIECES)
  return scaleRecipe(props.recipe, piecesG, READABILITY_G)
})
</script>

<template>
  <section class="stack-tight" aria-labelledby="scale-head">
    <div class="row spread head">
      <h3 id="scale-head">For this meat</h3>
      <WeightField v-model="forMeat" label="Green weight" :range="DELIVERY_RANGE" class="pick no-print" />
    </div>
    <table v-if="scaled?.ok" class="ruled">
      <tbody>
        <AmountRow v-if="scaled.value.waterG" name="Water" :amount="meat(scaled.value.waterG)" />
        <AmountRow v-if="recipe.agent" :name="AGENT_WORDS[recipe.agent].name" :amount="grams(scaled.value.agentG)" />
        <AmountRow v-if="scaled.value.saltG" name="Salt" :amount="grams(scaled.value.saltG)" />
        <AmountRow v-if="scaled.value.sugarG" name="Sugar" :amount="grams(scaled.value.sugarG)" />
        <AmountRow v-for="s in scaled.value.seasonings" :key="s.key" :name="s.key" :amount="grams(s.massG)">
          <span v-if="!s.shared" class="soft small"> (its own pieces, of {{ PIECES }} alike)</span>
        </AmountRow>
      </tbody>
    </table>
    <p v-else-if="scaled" class="caution grave">{{ wordsFor(scaled.code, scaled.params, as) }}</p>
    <p class="small soft">
      The agent as its label usually says. On the Bench the certificate of your own lot counts.
    </p>
  </section>
</template>

<style scoped>
.pick {
  max-width: 13rem;
}
.head h3 {
  align-self: center;
}
</style>
