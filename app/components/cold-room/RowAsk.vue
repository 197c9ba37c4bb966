<script setup lang="ts">
import { computed } from 'vue'
import { isWet } from '#core/cure/cure-method'
import { happenedMs } from '#core/life/happened'
import { DRAIN_SETTLED_MS } from '#core/rules/house'
import type { FlavourWay } from '#core/life/kinds/flavour'
import type { PlannedAdd } from '#core/plan/plan'
import type { PlanPress } from '~/logic/plan-press'
import type { Milliseconds } from '#core/units/quantities'
import { upperFirst } from '#core/lists/upper-first'
import { piecesWords } from '#shared/messages/pieces'
import type { LotPiece, LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import WhyAgainst from '~/components/common/WhyAgainst.vue'
import AddStep from '~/components/steps/AddStep.vue'
import CutStep from '~/components/steps/CutStep.vue'
import DrainStep from '~/components/steps/DrainStep.vue'
import FlavourStep from '~/components/steps/FlavourStep.vue'
import FryStep from '~/components/steps/FryStep.vue'
import HangStep from '~/components/steps/HangStep.vue'
import HumidityStep from '~/components/steps/HumidityStep.vue'
import RestStep from '~/components/steps/RestStep.vue'
import StackStep from '~/components/steps/StackStep.vue'
import SoakStep from '~/components/steps/SoakStep.vue'
import TakeStep from '~/components/steps/TakeStep.vue'
import TouchStep from '~/components/steps/TouchStep.vue'
import LookStep from '~/components/steps/LookStep.vue'
import MoreStep from '~/components/steps/MoreStep.vue'
import WeighStep from '~/components/steps/WeighStep.vue'
import WhenStep from '~/components/steps/WhenStep.vue'
import type { Row } from './use-row'

/** What a row asks before it records: how much, how it feels, where to, when. The tap that answers is the one that records. */
const props = defineProps<{
  row: Row
  places: PlaceView[]
  from: number | null
  curing: boolean
  lot: Pick<LotSummary, 'code' | 'rubbedAtMs' | 'method' | 'saltOnly'>
  nowMs: Milliseconds
  /** What its plan wants put on, and where. */
  add?: PlannedAdd | undefined
  /** A turn as its plan has it. */
  turn?: PlanPress | undefined
  flavour?: FlavourWay | undefined
  /** Those of the row, and of them those that were chosen; none: all are meant. */
  pieces: LotPiece[]
  chosen: number[]
}>()
const VERBS = {
  drain: 'Drained: ',
  leak: 'Leaked: ',
  purge: 'Left in the bag: ',
  weigh: 'Weighed: ',
  cut: 'Cut up: ',
  hang: 'Hung: ',
  humidity: 'Air set: ',
  take: 'Taken away: ',
  look: 'Looked at: ',
  more: '',
  turn: 'Turned: ',
  out: 'Out of the cure: ',
  touch: 'Surface: ',
  soak: 'Soaked: ',
  fry_test: 'Fried a slice: ',
  dry: 'Set to dry: ',
  rest: 'Laid to rest: ',
  add: 'Put on: ',
  turn_add: 'Turned, and put on: ',
  flavour: 'Flavoured: ',
  stack: 'Stacked: ',
  next: 'Begun: ',
} as const
// Refs and functions made once: destructured, the template reads the refs themselves.
const { asking, saving, insistWords, problem, because, pending, toldAt, tell, tellThen, tellWhen, close, insist, sayLate, goOn } = props.row
const meant = computed(() => props.pieces.filter(piece => props.chosen.length === 0 || props.chosen.includes(piece.id)))
const hangs = computed(() => meant.value.every(piece => piece.stage === 'hang'))
const which = computed(() => upperFirst(piecesWords(meant.value.map(piece => piece.label))))
const early = computed(() => props.nowMs - props.lot.rubbedAtMs < DRAIN_SETTLED_MS)
const counts = computed(() => !isWet(props.lot.method) && !props.lot.saltOnly)
</script>

<template>
  <div class="telling">
    <DrainStep
      v-if="asking === 'drain' || asking === 'leak' || asking === 'purge'"
      :key="asking"
      :how="asking === 'leak' ? 'leaked' : 'poured_off'"
      :early="early"
      :after="asking === 'purge'"
      :counts="counts"
      :code="lot.code"
      :pieces="meant.map(piece => piece.id)"
      :at-ms="toldAt && happenedMs(toldAt, nowMs)"
      :saving="saving"
      @tell="tell"
      @close="close"
    />
    <WeighStep
      v-else-if="asking === 'weigh'"
      :pieces="meant"
      :curing="curing"
      :saving="saving"
      @tell="tell"
      @close="close"
    />
    <HangStep
      v-else-if="asking === 'hang'"
      :pieces="meant"
      :places="places"
      :saving="saving"
      @tell="tell"
      @close="close"
    />
    <HumidityStep v-else-if="asking === 'humidity'" :saving="saving" @tell="tell" @close="close" />
    <CutStep v-else-if="asking === 'cut'" :pieces="meant" :saving="saving" @tell="tell" @close="close" />
    <LookStep v-else-if="asking === 'look'" :hangs="hangs" :saving="saving" @tell="tell" @close="close" />
    <TakeStep v-else-if="asking === 'take'" :which="which" :saving="saving" @tell="tell" @close="close" />
    <TouchStep v-else-if="asking === 'touch'" :saving="saving" @tell="tell" @close="close" />
    <SoakStep v-else-if="asking === 'soak'" :saving="saving" @tell="tell" @close="close" />
    <FryStep v-else-if="asking === 'fry_test'" :saving="saving" @tell="tell" @close="close" />
    <RestStep
      v-else-if="asking === 'dry' || asking === 'rest'"
      :key="asking"
      :what="asking"
      :places="places"
      :from="from"
      :saving="saving"
      @tell="tell"
      @close="close"
    />
    <AddStep
      v-else-if="asking === 'add' || asking === 'turn_add'"
      :key="asking"
      :code="lot.code"
      :face="add?.face ?? (asking === 'turn_add' ? 'up' : 'all')"
      :turn="asking === 'turn_add' ? (turn ?? null) : null"
      :saving="saving"
      @tell="tellThen"
      @close="close"
    />
    <FlavourStep
      v-else-if="asking === 'flavour'"
      :code="lot.code"
      :how="flavour ?? 'dry_spice'"
      :saving="saving"
      @tell="tellThen"
      @close="close"
    />
    <StackStep
      v-else-if="asking === 'stack' && from !== null"
      :pieces="pieces"
      :place-id="from"
      :saving="saving"
      @tell="tell"
      @close="close"
    />
    <MoreStep
      v-else-if="asking === 'more'"
      :places="places"
      :from="from"
      :curing="curing"
      :hangs="hangs"
      :saving="saving"
      @tell="tell"
      @ask="goOn"
      @late="sayLate('more')"
      @close="close"
    />
    <WhenStep
      v-else-if="asking === 'when'"
      :what="VERBS[pending ?? 'more']"
      :now-ms="nowMs"
      @choose="tellWhen"
      @close="close"
    />
    <WhyAgainst :problem="problem" :saving="saving" closes @why="because" @close="close" />
    <VBtn v-if="insistWords" color="primary" block :loading="saving" @click="insist">{{ insistWords }}</VBtn>
  </div>
</template>

<style scoped>
.telling {
  display: grid;
  gap: 0.4rem;
}
</style>
