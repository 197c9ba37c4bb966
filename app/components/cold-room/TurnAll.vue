<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { computed } from 'vue'
import type { LotSummary } from '#shared/contracts/lots'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { usePress } from '~/components/steps/use-press'
import { turningDay } from '#core/turning/turning-day'
import { addWithTurn } from '#core/plan/adds-due'
import { turnPress } from '~/logic/plan-press'
import { lotDay, lotTwines, toTurn, turnsAsOne } from '~/logic/lot-twine'
import { useFloor } from '~/stores/floor'

/** All turns that are due, told with one tap. The lots are named; those of which only some pieces wait are left out. */
const props = defineProps<{ lots: LotSummary[]; nowMs: Milliseconds }>()
const floor = useFloor()
const { press, insist, insistWords, saving, message } = usePress()
const due = computed(() =>
  props.lots.flatMap((lot) => {
    const twines = lotTwines(lot, props.nowMs)
    // What is massaged or stirred is told in its own row, and where more goes on with the turn.
    const day = lotDay(lot, props.nowMs)
    const turning = turningDay(lot.rubbedAtMs, props.nowMs, lot.zone)
    const isPlain = twines.every(({ plan }) => turnPress(plan, turning).label === 'Turned' && !addWithTurn({ plan }, day))
    return isPlain && turnsAsOne(twines) ? [{ code: lot.code, pieces: toTurn(twines), all: lot.pieces.map(piece => piece.id) }] : []
  }),
)
async function turn(): Promise<void> {
  const lots = due.value.map(({ pieces, ...lot }) => ({ ...lot, pieces: pieces.length === lot.all.length ? null : pieces }))
  floor.apply((await press(lots, [{ kind: 'turn', how: 'turned', face: null }], 'turned.')) ?? [])
}
const goOn = async () => floor.apply((await insist()) ?? [])
</script>

<template>
  <div v-if="due.length > 1 || message" class="all">
    <VBtn v-if="due.length > 1" color="primary" :loading="saving" @click="turn">
      Turned: {{ due.length > 3 ? `all ${due.length} that are due` : due.map(lot => lot.code).join(', ') }}
    </VBtn>
    <VBtn v-if="insistWords" variant="outlined" :loading="saving" @click="goOn">{{ insistWords }}</VBtn>
    <SaveProblem :message="message" />
  </div>
</template>

<style scoped>
.all {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
}
</style>
