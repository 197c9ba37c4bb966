<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { navigateTo } from '#imports'
import { forbidsRubbing } from '#core/rules/judge-nitrite'
import type { Plan } from '#core/plan/plan'
import type { BenchView } from '#shared/contracts/lots'
import { rubInput } from '#shared/contracts/rub'
import { wordsFor, wordsOf } from '#shared/messages/refusals/catalogue'
import PpmBeam from '~/components/beam/PpmBeam.vue'
import VerdictNote from '~/components/beam/VerdictNote.vue'
import { emptyBench, isSaltOnly } from '~/components/bench/bench-draft'
import BenchStart from '~/components/bench/BenchStart.vue'
import PlanLine from '~/components/plans/PlanLine.vue'
import CureDays from '~/components/bench/CureDays.vue'
import MeatAndPieces from '~/components/bench/MeatAndPieces.vue'
import MendPanel from '~/components/bench/MendPanel.vue'
import RecipeTargets from '~/components/bench/RecipeTargets.vue'
import SeasoningList from '~/components/bench/SeasoningList.vue'
import WeighTable from '~/components/bench/WeighTable.vue'
import { useBench } from '~/components/bench/use-bench'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import ToldLate from '~/components/steps/ToldLate.vue'
import type { PressWhen } from '~/logic/press'
import { useClock } from '~/composables/use-clock'
import { useDraft } from '~/composables/use-draft'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const session = useSession()
const { as, meat } = useNotation()
const recorded = useRecorded()
const { view, problem, load } = useLoaded<BenchView>('/api/bench')
const { draft, clear } = useDraft('bench', emptyBench)
const lengthUnit = computed(() => (as.value.mass === 'us' ? ('in' as const) : ('mm' as const)))
const bench = useBench(draft, view, lengthUnit)
/** A way to begin from brings its days along; otherwise they follow their own fields. */
function layPlan(laid: Plan): void {
  const { end } = bench.lotPlan.value
  draft.value.plan = laid
  if (laid.end.fromDay !== end.fromDay) draft.value.readyFromDay = laid.end.fromDay
  if (laid.end.toDay !== end.toDay) draft.value.bestByDay = laid.end.toDay
}
const { save, saving, errorAt, message } = useSave<{ code: string }>(rubInput)
const when = ref<{ at: PressWhen; words: string } | null>(null)
const nowMs = useClock()
const { greenG, plan, planned, weighed, limits, body } = bench
const shown = computed(() => weighed.value ?? planned.value)
/** What the beam shows: with equal scoops, what each piece would really get. */
const hung = computed(() =>
  draft.value.sharing === 'equal_scoops' && bench.scoops.value.length
    ? bench.scoops.value
    : (shown.value?.pieces ?? []),
)
const saltOnly = computed(() => isSaltOnly(draft.value))
const target = computed({
  get: () => (saltOnly.value ? null : draft.value.targetPpm),
  set: value => (draft.value.targetPpm = value ?? draft.value.targetPpm),
})
const refused = computed(
  () =>
    bench.agentRefused.value !== null
    || (weighed.value !== null && forbidsRubbing(weighed.value.status))
    || bench.saltJudged.value?.status === 'slip',
)
const planFault = computed(() =>
  plan.value && !plan.value.ok && plan.value.code !== 'no_pieces'
    ? wordsFor(plan.value.code, plan.value.params, as.value)
    : '',
)
const meaning = computed(() => shown.value?.meaning ?? (saltOnly.value ? 'none' : 'exact'))

async function rub(): Promise<void> {
  const made = await save('/api/lots', { ...body.value, ...when.value?.at })
  if (!made) return
  when.value = null
  clear()
  recorded(`${made.code} is rubbed: day 0.`, made.eventId, () => navigateTo('/bench') as Promise<unknown>)
  await navigateTo(`/lots/${made.code}`)
}
onMounted(() => {
  // The empty Bench begins at 40 mm, in the person's own unit.
  if (lengthUnit.value === 'in' && draft.value.thickness === emptyBench().thickness) draft.value.thickness = '1.6'
})
watch(
  () => view.value?.shop.houseTargetPpm,
  (house) => {
    if (house !== undefined && draft.value.pieces.length === 0) draft.value.targetPpm = house
  },
)
</script>

<template>
  <div>
    <PageHead title="Bench" sub="Green weight first: trimmed, before any cure. Then weigh what it says.">
      <VBtn v-if="draft.pieces.length" variant="outlined" @click="clear">Clear the bench</VBtn>
    </PageHead>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!view" class="empty">Laying out the bench…</p>
    <p v-else-if="!session.mayWrite" class="empty">
      The Bench is for makers. Lots that were rubbed are in the Ledger, with their verdicts.
    </p>
    <p v-else-if="!view.meat.length" class="empty">
      There is no meat in the store yet. <NuxtLink to="/store">Receive a delivery first.</NuxtLink>
    </p>
    <form v-else @submit.prevent>
      <BenchStart v-model="draft" :view="view" />
      <div class="bench">
        <div class="stack left">
          <MeatAndPieces v-model="draft" :bench="bench" :meat="view.meat" :error-at="errorAt" />
        </div>
        <div class="stack right">
          <section aria-labelledby="beam-head">
            <div class="row spread">
              <h2 id="beam-head" class="bare">Nitrite on the beam</h2>
              <span class="soft">{{ meat(greenG) }} green weight</span>
            </div>
            <PpmBeam
              v-if="limits"
              v-model:target="target"
              may-drag
              :floor-ppm="limits.floorPpm"
              :limit-ppm="limits.maxPpm"
              :house="limits.house"
              :pieces="hung"
              :meaning="meaning"
              :label="`Beam: floor ${limits.floorPpm}, limit ${Math.round(limits.maxPpm)} ppm, ${hung.length} pieces`"
            />
            <p v-else class="caution grave" role="alert">{{ wordsOf('no_rule', { cut: draft.cut }, as) }}</p>
            <VerdictNote
              v-if="shown && bench.mixScale.value"
              :judgement="shown"
              :mix-readability-g="bench.mixScale.value.readabilityG"
              :about="weighed ? 'As weighed' : 'As planned'"
              :yield-share="view.yields[draft.cut] ?? null"
            />
            <p v-if="planFault" class="caution grave" role="alert">{{ planFault }}</p>
          </section>
          <RecipeTargets v-model="draft" :bench="bench" :error-at="errorAt" />
          <SeasoningList v-model="draft" :bench="bench" :error-at="errorAt" />
          <WeighTable v-model="draft" :bench="bench" :view="view" :error-at="errorAt" />
          <MendPanel :bench="bench" />
          <CureDays v-model="draft" :bench="bench" :places="view.places" :error-at="errorAt" />
          <PlanLine :model-value="bench.lotPlan.value" :days="false" :error-at="errorAt" @update:model-value="layPlan" />
          <SaveProblem :message="message" />
          <ToldLate v-model="when" class="earlier" :now-ms="nowMs" label="Rubbed earlier?" />
          <div class="rub">
            <p v-if="refused" class="soft">
              {{
                bench.agentRefused.value
                  ? 'Not with this curing salt.'
                  : bench.saltJudged.value?.status === 'slip'
                    ? 'Not with this much salt.'
                    : 'Not while it is above, or may be above, the limit.'
              }}
            </p>
            <VBtn
              type="button"
              color="primary"
              size="x-large"
              :disabled="refused"
              :loading="saving"
              @click="rub"
            >
              Rub this lot
            </VBtn>
          </div>
        </div>
      </div>
    </form>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 8fr);
  gap: 2.75rem;
}
.bare {
  border: 0;
  padding: 0;
}
.earlier {
  justify-self: end;
}
.rub {
  display: flex;
  justify-content: end;
  align-items: center;
  gap: 1rem;
}
.rub .v-btn--disabled {
  opacity: 0.55;
}
@media (--tablet) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.6rem;
  }
  .rub {
    position: sticky;
    bottom: 0;
    background: var(--bone);
    padding: 0.5rem 0;
  }
  .rub .v-btn {
    flex: 1;
  }
}
</style>
