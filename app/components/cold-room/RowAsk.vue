<script setup lang="ts">
import { computed } from 'vue'
import { happenedMs } from '#core/life/happened'
import { ASKS } from '#shared/steps/all-told'
import WhyAgainst from '~/components/common/WhyAgainst.vue'
import { formOf } from '~/components/steps/ask-forms'
import type { AskedOf, AskRow } from '~/components/steps/ask-row'
import MoreStep from '~/components/steps/MoreStep.vue'
import WhenStep from '~/components/steps/WhenStep.vue'
import type { Row } from './use-row'

/** What a row asks before it records: how much, how it feels, where to, when. The tap that answers is the one that records. */
const props = defineProps<{ row: Row; of: AskedOf; chosen: number[] }>()
// Refs and functions made once: destructured, the template reads the refs themselves.
const { asking, saving, insistWords, problem, because, pending, toldAt, tell, tellWhen, close, insist, sayLate, goOn } = props.row
const meant = computed(() =>
  props.of.pieces.filter(piece => props.chosen.length === 0 || props.chosen.includes(piece.id)),
)
const ask = computed(() => (asking.value === null || asking.value === 'more' || asking.value === 'when' ? null : asking.value))
const asked = computed((): AskRow | null =>
  ask.value && {
    ...props.of,
    ask: ask.value,
    meant: meant.value,
    toldAtMs: toldAt.value && happenedMs(toldAt.value, props.of.nowMs),
  },
)
const verb = computed(() => {
  if (pending.value === 'next') return 'Begun: '
  return pending.value === null || pending.value === 'more' ? '' : ASKS[pending.value].verb
})
</script>

<template>
  <div class="telling">
    <component :is="formOf(asked.ask)" v-if="asked" :key="asked.ask" :row="asked" :saving="saving" @tell="tell" @close="close" />
    <MoreStep
      v-else-if="asking === 'more'"
      :of="of"
      :hangs="meant.every(piece => piece.stage === 'hang')"
      :saving="saving"
      @tell="tell"
      @ask="goOn"
      @late="sayLate('more')"
      @close="close"
    />
    <WhenStep v-else-if="asking === 'when'" :what="verb" :now-ms="of.nowMs" @choose="tellWhen" @close="close" />
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
