<script setup lang="ts">
import { INGREDIENT_RANGE } from '#core/rules/ranges'
import { MOST_SEASONINGS } from '#core/rules/house'
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { navigateTo } from '#imports'
import { mdiClose } from '@mdi/js'
import type { BenchView } from '#shared/contracts/lots'
import { bulkMixInput } from '#shared/contracts/rub'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import { shareOf } from '~/components/bench/read-draft'
import { emptyMix, useBulkMix, type MixLine } from '~/components/bench/use-bulk-mix'
import DateField from '~/components/common/DateField.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useDraft } from '~/composables/use-draft'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** A mix for many kilograms, weighed once and dispensed by weight: a lot of its own in the Store. */
const session = useSession()
const { as, meat, grams, percent } = useNotation()
const recorded = useRecorded()
const { draft, clear } = useDraft('mix', emptyMix)
const { view, problem, load } = useLoaded<BenchView>('/api/bench', {
  taken: ({ shop }) => {
    draft.value.ppm ||= String(shop.houseTargetPpm)
  },
})
const { save, saving, errorAt, message } = useSave<{ code: string }>(bulkMixInput)
const NAMES = { agent: 'Curing salt', salt: 'Salt', sugar: 'Sugar' }
const { scales, scale, made, plan, lines, takePerKgG, spices, hasAgent } = useBulkMix(draft, view)
const planFault = computed(() =>
  made.value && !made.value.ok ? wordsFor(made.value.code, made.value.params, as.value) : '',
)
/** A share that cannot be read is said at its field; it stays as typed. */
const shareFault = (typed: string) =>
  typed.trim() && shareOf(typed) === null ? 'Not a share of the meat. It stays as typed; write it like 2.5.' : undefined
const nameOf = (line: MixLine) => (line.role === 'spice' ? line.lot.name : NAMES[line.role])
async function make(): Promise<void> {
  const done = await save('/api/mixes', {
    name: draft.value.name,
    forKg: draft.value.forKg,
    ppm: draft.value.ppm,
    scaleId: scale.value?.id ?? 0,
    bestBefore: draft.value.bestBefore || null,
    parts: lines.value.map(({ lot, draft: { weighed } }) => ({ lotCode: lot.code, weighed })),
  })
  if (!done) return
  clear()
  recorded(`${done.code} is mixed and on the shelf.`, done.eventId, load)
  await navigateTo('/store')
}
</script>

<template>
  <div>
    <PageHead
      title="Bulk mix"
      sub="Weighed once for many kilograms, then dispensed by weight. Stir well: an uneven mix burns here and leaves grey there."
    />
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!view" class="empty">Clearing the big bowl…</p>
    <p v-else-if="!session.mayWrite" class="empty">
      Mixes are made by makers. They stand in the Store with what went in.
    </p>
    <p v-else-if="!hasAgent" class="empty">
      Nothing to weigh into a tub yet. Receive curing salt and salt in the <NuxtLink to="/store">Store</NuxtLink> first.
    </p>
    <form v-else class="stack mix" @submit.prevent="make">
      <div class="fields">
        <VTextField v-model="draft.name" label="Name on the tub" :error-messages="errorAt('name')" />
        <VTextField
          v-model="draft.forKg"
          label="For meat"
          suffix="kg"
          inputmode="decimal"
          :error-messages="errorAt('forKg')"
        />
        <VTextField
          v-model="draft.ppm"
          label="Nitrite"
          suffix="ppm"
          inputmode="decimal"
          :error-messages="errorAt('ppm')"
        />
        <VTextField
          v-model="draft.saltShare"
          label="Salt"
          suffix="%"
          inputmode="decimal"
          :error-messages="shareFault(draft.saltShare)"
        />
        <VTextField
          v-model="draft.sugarShare"
          label="Sugar"
          suffix="%"
          inputmode="decimal"
          :error-messages="shareFault(draft.sugarShare)"
        />
        <DateField v-model="draft.bestBefore" label="Best before" />
      </div>
      <p class="caution">
        <strong>A tub of this is curing salt.</strong> Label it with its code, dye it or keep it apart, locked, away
        from table salt.
      </p>
      <section aria-labelledby="mix-spice-head" class="stack-tight">
        <div class="ruled-head">
          <h2 id="mix-spice-head">Seasonings in it</h2>
          <VBtn
            v-if="draft.seasonings.length < MOST_SEASONINGS"
            variant="outlined"
            @click="draft.seasonings.push({ lotCode: '', percent: '', weighed: '' })"
          >
            Add a seasoning
          </VBtn>
        </div>
        <div v-for="(s, i) in draft.seasonings" :key="i" class="spice">
          <VSelect
            v-model="s.lotCode"
            :items="spices.map(lot => ({ value: lot.code, title: `${lot.code} ${lot.name}` }))"
            label="Seasoning"
            density="compact"
            no-data-text="None in the store"
            :error-messages="s.percent.trim() && !s.lotCode ? 'From which lot?' : undefined"
          />
          <VTextField
            v-model="s.percent"
            label="Of the meat"
            suffix="%"
            density="compact"
            inputmode="decimal"
            :error-messages="shareFault(s.percent)"
          />
          <VBtn
            variant="text"
            :icon="mdiClose"
            :aria-label="`Leave out ${spices.find(lot => lot.code === s.lotCode)?.name ?? 'this seasoning'}`"
            @click="draft.seasonings.splice(i, 1)"
          />
        </div>
        <p v-if="draft.seasonings.length" class="caution grave">
          <strong>With seasonings in it, this mix is for today alone.</strong> Nitrite and spices react in the tub (21
          CFR 170.60): tomorrow the Bench refuses it. To keep a mix, leave them out and add them at the rub.
        </p>
        <p v-else class="small soft">None. What they bring of salt, sugar and allergens is counted when there are.</p>
      </section>
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
          <tr v-for="(line, i) in lines" :key="`${line.role} ${i}`">
            <td>
              <strong>{{ nameOf(line) }}</strong>
            </td>
            <td class="num">
              <span class="big">{{ grams(line.plannedG, scale?.readabilityG) }}</span>
            </td>
            <td>
              <VSelect
                :model-value="line.lot.code"
                :items="line.lots.map(one => ({ value: one.code, title: `${one.code} ${one.name}` }))"
                :label="`${nameOf(line)} lot`"
                density="compact"
                :error-messages="errorAt(`parts.${i}.lotCode`)"
                @update:model-value="line.draft.lotCode = $event"
              />
            </td>
            <td>
              <WeightField
                v-model="line.draft.weighed"
                :label="`${nameOf(line)}, grams`"
                fine
                :range="INGREDIENT_RANGE"
                :error="errorAt(`parts.${i}.weighed`)"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="planFault" class="caution grave" role="alert">{{ planFault }}</p>
      <p v-if="errorAt('parts')" class="caution grave" role="alert">{{ errorAt('parts') }}</p>
      <p v-if="plan && takePerKgG">
        {{ meat(plan.mixG) }} in all. Take <strong>{{ grams(takePerKgG) }}</strong> for each kilogram of meat:
        {{ draft.ppm }} ppm and {{ percent(plan.totalSaltShare, 2) }} of salt.
      </p>
      <VSelect
        :model-value="scale?.id"
        :items="scales.map(one => ({ value: one.id, title: `${one.name}, reads to ${one.readabilityG} g` }))"
        label="Weighed on"
        density="compact"
        class="scale"
        @update:model-value="draft.scaleId = $event"
      />
      <SaveProblem :message="message" />
      <div><VBtn type="submit" color="primary" :loading="saving">Mixed, put it on the shelf</VBtn></div>
    </form>
  </div>
</template>

<style scoped>
.mix {
  max-width: 62rem;
}
.fields {
  display: grid;
  grid-template-columns: 2fr repeat(5, 1fr);
  gap: 0.6rem;
}
.big {
  font: 700 1.7rem/1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
  white-space: nowrap;
}
.spice {
  display: grid;
  grid-template-columns: 2fr 1fr auto;
  gap: 0.6rem;
  align-items: start;
  max-width: 42rem;
}
.scale {
  max-width: 24rem;
}
@media (--tablet) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
  }
  td:nth-child(n + 3) {
    grid-column: 1 / -1;
  }
  td:not(:last-child) {
    border-bottom: 0;
  }
}
</style>
