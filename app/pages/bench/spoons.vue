<script setup lang="ts">
import { DELIVERY_RANGE } from '#core/rules/ranges'
import { navigateTo } from '#imports'
import { CUTS, RINDS } from '#core/rules/cuts'
import type { ByWeight } from '#core/spoons/by-weight'
import { SPOON_SYSTEMS } from '#core/spoons/parse-spoons'
import type { BenchView } from '#shared/contracts/lots'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { emptyBench } from '~/components/bench/bench-draft'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import WeightField from '~/components/common/WeightField.vue'
import SpoonLines from '~/components/spoons/SpoonLines.vue'
import SpoonsByWeight from '~/components/spoons/SpoonsByWeight.vue'
import SpoonVerdict from '~/components/spoons/SpoonVerdict.vue'
import { SYSTEM_WORDS } from '~/components/spoons/spoon-words'
import { firstSpoons, useSpoons } from '~/components/spoons/use-spoons'
import { useDraft } from '~/composables/use-draft'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { percentText } from '~/words/percent-text'

const { as, meat } = useNotation()
const { view, problem, load } = useLoaded<BenchView>('/api/bench')
const { draft } = useDraft('spoons', firstSpoons)
const bench = useDraft('bench', emptyBench)
const { meatG, limits, found, faults, masses, written } = useSpoons(draft, view)

async function toBench(made: ByWeight): Promise<void> {
  const { cut, rind } = draft.value
  bench.draft.value = {
    ...bench.draft.value,
    cut,
    rind,
    method: 'dry',
    saltOnly: !made.hasAgent,
    saltShare: percentText(made.saltShare),
    sugarShare: percentText(made.sugarShare),
    saltBasis: 'total',
    targetPpm: made.nitritePpm,
    recipe: null,
    seasonings: made.spices.map(spice => ({
      name: spice.name,
      lotCode: '',
      per: 'percent',
      amount: percentText(spice.share),
      group: 'all',
      weighed: '',
    })),
  }
  await navigateTo('/bench')
}
</script>

<template>
  <div>
    <PageHead
      title="Spoon check"
      sub="A recipe in cups and spoons: what it can mean on this meat, and the same by weight."
    />
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!view" class="empty">Looking for the measuring spoons…</p>
    <div v-else class="spoons">
      <section class="stack" aria-labelledby="spoon-recipe">
        <h2 id="spoon-recipe">The recipe as it is written</h2>
        <p class="print-only">
          {{ meatG ? meat(meatG) : draft.meat }} of {{ draft.cut }}, rind {{ draft.rind }}. Spoons:
          {{ SYSTEM_WORDS[draft.system] }}.
        </p>
        <div class="fields no-print">
          <WeightField v-model="draft.meat" label="For this meat" :range="DELIVERY_RANGE" />
          <VSelect
            v-model="draft.system"
            :items="SPOON_SYSTEMS.map(value => ({ value, title: SYSTEM_WORDS[value] }))"
            label="Whose spoons"
          />
          <VSelect v-model="draft.cut" :items="[...CUTS]" label="Cut" />
          <VSelect v-model="draft.rind" :items="RINDS.map(value => ({ value, title: `rind ${value}` }))" label="Rind" />
        </div>
        <SpoonLines v-model="draft.lines" :faults="faults" :masses="masses" />
        <p class="small soft no-print">
          2 tsp, 1 1/2 cups, 3 oz, 15 ml, or with its meat: 2 tsp per 3 kg. Spoons are level: what a heaped one holds
          nobody knows.
        </p>
      </section>
      <div class="stack">
        <SpoonVerdict v-if="found && limits" :found="found" :limits="limits" />
        <p v-else class="empty">Enter the meat and at least one line.</p>
        <SpoonsByWeight
          v-if="written?.ok"
          :written="written.value"
          :meat-g="meatG!"
          :house-target-ppm="view.shop.houseTargetPpm"
          @bench="toBench(written.value)"
        />
        <p v-else-if="written" class="caution">
          It cannot be written by weight as it stands. {{ wordsFor(written.code, written.params, as) }}
        </p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.spoons {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 2.6rem;
  align-items: start;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
  align-items: start;
}
@media print {
  .spoons {
    display: block;
  }
  .spoons > * + * {
    margin-top: 1.2rem;
  }
}
@media (--tablet) {
  .spoons {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
