<script setup lang="ts">
import { computed } from 'vue'
import { navigateTo } from '#imports'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import { formulate } from '#core/cure/formulate'
import { CUTS, RINDS, type Cut, type Rind } from '#core/rules/cuts'
import { limitsFor } from '#core/rules/limits'
import { checkSpoons, writtenShare } from '#core/spoons/check-spoons'
import { grainOf } from '#core/spoons/grains'
import { parseSpoons, SPOON_SYSTEMS, type SpoonSystem } from '#core/spoons/parse-spoons'
import { parseWeight } from '#core/units/parse-weight'
import { DELIVERY_RANGE } from '#shared/contracts/fields'
import type { BenchView } from '#shared/contracts/lots'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { percentText } from '~/words/percent-text'
import { emptyBench } from '~/components/bench/bench-draft'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import WeightField from '~/components/common/WeightField.vue'
import SpoonLines from '~/components/spoons/SpoonLines.vue'
import SpoonVerdict from '~/components/spoons/SpoonVerdict.vue'
import { useDraft } from '~/composables/use-draft'
import { useLoaded } from '~/composables/use-loaded'
import { useNotation } from '~/composables/use-notation'

const { as, grams, percent, meat, ppm } = useNotation()
const { view, problem, load } = useLoaded<BenchView>('/api/bench')
const { draft } = useDraft('spoons', () => ({
  system: 'us' as SpoonSystem,
  meat: '2.4 kg',
  cut: 'belly' as Cut,
  rind: 'off' as Rind,
  lines: [
    { grain: 'curing_salt_no_1', typed: '1 tsp' },
    { grain: 'flake_kosher', typed: '1/4 cup' },
    { grain: 'brown_packed', typed: '2 tbsp' },
  ],
}))
const bench = useDraft('bench', emptyBench)
const SYSTEM_WORDS: Record<SpoonSystem, string> = {
  us: 'US: 4.9 mL and 14.8 mL',
  metric: 'metric: 5 mL and 15 mL',
  australian: 'Australian: 5 mL and 20 mL',
}
const meatG = computed(() => {
  const found = parseWeight(draft.value.meat, DELIVERY_RANGE)
  return found.ok ? found.value.netG : null
})
const parsed = computed(() => draft.value.lines.map(line => parseSpoons(line.typed, draft.value.system)))
const unread = computed(() =>
  parsed.value.map((line, i) =>
    line.ok || draft.value.lines[i]!.typed.trim() === '' ? null : wordsFor(line.code, line.params, as.value),
  ),
)
const limits = computed(
  () =>
    view.value
    && limitsFor({
      rules: view.value.rules,
      cut: draft.value.cut,
      method: 'dry',
      rind: draft.value.rind,
      house: view.value.shop.house,
    }),
)
/** Lines that can be read, with their places. */
const good = computed(() =>
  draft.value.lines.flatMap((line, i) => {
    const amount = parsed.value[i]!
    const grain = grainOf(line.grain)
    return amount.ok && grain ? [{ i, grain, amount: amount.value }] : []
  }),
)
const found = computed(() =>
  limits.value && meatG.value && good.value.length
    ? checkSpoons(good.value, meatG.value, { ...CURING_SALT_NO_1, labelTolerance: 0 }, limits.value)
    : null,
)
const spanOf = ({ low, high }: { low: number; high: number }) =>
  low === high ? grams(low) : `${grams(low)} to ${grams(high)}`
/** What cannot be read, and what is written in several ways that do not say the same. */
const faults = computed(() =>
  unread.value.map((fault, i) => {
    const differs = found.value?.differing.find(one => good.value[one.line]?.i === i)
    return (
      fault
      ?? (differs
        ? `These do not say the same: ${differs.massesG.map(spanOf).join(', and ')}. Which holds? Take the others out; until then all may.`
        : null)
    )
  }),
)
const masses = computed(() =>
  draft.value.lines.map((_line, i) => found.value?.lines[good.value.findIndex(line => line.i === i)]?.massG ?? null),
)
const SALT_STEP = 0.001
const SPICE_STEP = 0.0001
/** The same recipe by weight: shares from the middle of what was meant, nitrite at the house's target. */
const rewritten = computed(() => {
  if (!found.value || !meatG.value || !view.value || !limits.value) return null
  const hasAgent = found.value.ppm.high > 0
  const shares = {
    saltShare: writtenShare(found.value.saltShare, SALT_STEP),
    sugarShare: writtenShare(found.value.sugarShare, SALT_STEP),
  }
  const nitritePpm = Math.min(
    view.value.shop.houseTargetPpm,
    Math.floor((limits.value.floorPpm + limits.value.maxPpm) / 2),
  )
  const made = formulate({
    piecesG: [meatG.value],
    agent: hasAgent ? CURING_SALT_NO_1 : null,
    targets: { ...shares, saltBasis: 'total', nitritePpm },
    readabilityG: 0.1,
  })
  const spices = good.value.flatMap((line, k) =>
    line.grain.role === 'spice'
      ? [{ name: line.grain.name, share: writtenShare(found.value!.lines[k]!.share, SPICE_STEP) }]
      : [],
  )
  return made.ok ? { ...made.value, ...shares, nitritePpm, hasAgent, spices } : null
})
async function toBench(): Promise<void> {
  const r = rewritten.value!
  bench.draft.value = {
    ...bench.draft.value,
    cut: draft.value.cut,
    rind: draft.value.rind,
    method: r.hasAgent ? 'dry' : 'salt_only',
    saltShare: percentText(r.saltShare),
    sugarShare: percentText(r.sugarShare),
    saltBasis: 'total',
    targetPpm: r.nitritePpm,
    recipe: null,
    seasonings: r.spices.map(s => ({
      name: s.name,
      lotCode: '',
      per: 'percent',
      amount: percentText(s.share),
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
        <section v-if="rewritten" class="stack-tight" aria-labelledby="by-weight">
          <h2 id="by-weight">The same by weight, for {{ meat(meatG!) }}</h2>
          <table class="ruled">
            <tbody>
              <tr v-if="rewritten.hasAgent">
                <td>Curing salt no. 1</td>
                <td class="num">
                  <strong>{{ grams(rewritten.agentG) }}</strong>
                </td>
                <td class="soft">
                  {{ ppm(rewritten.nitritePpm) }},
                  {{
                    rewritten.nitritePpm === view.shop.houseTargetPpm
                      ? 'the house target'
                      : 'midway between floor and limit'
                  }}
                </td>
              </tr>
              <tr>
                <td>Salt</td>
                <td class="num">
                  <strong>{{ grams(rewritten.saltG) }}</strong>
                </td>
                <td class="soft">{{ percent(rewritten.saltShare) }} in all</td>
              </tr>
              <tr>
                <td>Sugar</td>
                <td class="num">
                  <strong>{{ grams(rewritten.sugarG) }}</strong>
                </td>
                <td class="soft">{{ percent(rewritten.sugarShare) }}</td>
              </tr>
              <tr v-for="spice in rewritten.spices" :key="spice.name">
                <td>{{ spice.name }}</td>
                <td class="num">
                  <strong>{{ grams(spice.share * meatG!) }}</strong>
                </td>
                <td class="soft">{{ percent(spice.share, 2) }}</td>
              </tr>
            </tbody>
          </table>
          <p class="caution">Curing salt is poisonous: weigh it on a scale that reads to 0.1 g, never by spoon.</p>
          <div class="row no-print">
            <VBtn color="primary" @click="toBench">Lay it on the Bench</VBtn>
          </div>
        </section>
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
