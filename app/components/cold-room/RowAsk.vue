<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import type { PlaceView } from '#shared/contracts/places'
import DrainStep from '~/components/steps/DrainStep.vue'
import LookStep from '~/components/steps/LookStep.vue'
import MoreStep from '~/components/steps/MoreStep.vue'
import WhenStep from '~/components/steps/WhenStep.vue'
import type { Row } from './use-row'

/** What a row asks before it records: how much, how it feels, where to, when. The tap that answers is the one that records. */
const props = defineProps<{ row: Row; places: PlaceView[]; from: number | null; curing: boolean; nowMs: Milliseconds }>()
const VERBS = { drain: 'Drained: ', look: 'Looked at: ', more: '', turn: 'Turned: ', out: 'Out, rinsed: ' } as const
// Refs and functions made once: destructured, the template reads the refs themselves.
const { asking, saving, insistWords, pending, tell, tellWhen, close, insist, sayLate } = props.row
</script>

<template>
  <div class="telling">
    <DrainStep v-if="asking === 'drain'" :saving="saving" @tell="tell" @close="close" />
    <LookStep v-else-if="asking === 'look'" :saving="saving" @tell="tell" @close="close" />
    <MoreStep
      v-else-if="asking === 'more'"
      :places="places"
      :from="from"
      :curing="curing"
      :saving="saving"
      @tell="tell"
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
    <VBtn v-if="insistWords" color="primary" block :loading="saving" @click="insist">{{ insistWords }}</VBtn>
  </div>
</template>

<style scoped>
.telling {
  display: grid;
  gap: 0.4rem;
}
</style>
