<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { judgeFridge } from '#core/fridge/excursion'
import type { InstrumentBrief, StoreConcern } from '#shared/contracts/cold-room'
import type { FridgeView, LotSummary } from '#shared/contracts/lots'
import { STATE_WORDS } from '#shared/messages/instruments'
import { holdWords } from '#shared/messages/holds'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { freeWords } from '~/words/free-words'
import { formatSpan } from '#core/units/format-span'
import { lotTwine } from '~/logic/lot-twine'

const props = defineProps<{
  lots: LotSummary[]
  fridges: FridgeView[]
  instruments: InstrumentBrief[]
  store: StoreConcern
  freeBytes: number | null
  nowMs: Milliseconds
}>()
const { as, temperature, moment } = useNotation()
const held = computed(() => props.lots.filter(lot => lot.openHolds.length))
const missed = computed(() =>
  props.lots
    .filter(lot => lot.cureEndedAtMs === null)
    .map(lot => ({ lot, missed: lotTwine(lot, props.nowMs).knots.filter(knot => knot.state === 'missed').length }))
    .filter(row => row.missed > 0),
)
const warm = computed(() =>
  props.fridges.flatMap((fridge) => {
    const last = fridge.readings.at(-1)
    const verdict = judgeFridge(fridge.readings.slice(-2))
    return last && verdict !== 'cold_enough' ? [{ fridge, last, verdict }] : []
  }),
)
const unchecked = computed(() => props.instruments.filter(one => one.state !== 'checked'))
const inStore = computed(
  () => props.store.heldMeat.length + props.store.countsDue.length + (props.store.clockBehindMs === null ? 0 : 1),
)
/** Photos are refused under 1 GB; it is said while there is still time. */
const SAID_BYTES = 5e9
const REFUSED_BYTES = 1e9
const full = computed(() => props.freeBytes !== null && props.freeBytes < SAID_BYTES)
const nothing = computed(
  () =>
    !full.value
    && !inStore.value
    && !unchecked.value.length
    && !held.value.length
    && !missed.value.length
    && !warm.value.length,
)
</script>

<template>
  <section aria-labelledby="wrong">
    <h2 id="wrong">Not right</h2>
    <p v-if="nothing" class="empty">Nothing held, nothing warm, no turn missed.</p>
    <ul>
      <li v-for="lot in held" :key="lot.code">
        <StateMark tone="held">held</StateMark><LotCode :code="lot.code" /><span>{{
          lot.openHolds.map(reason => holdWords(reason, as)).join('; ')
        }}</span>
      </li>
      <li v-if="full">
        <StateMark :tone="freeBytes! < REFUSED_BYTES ? 'act' : 'watch'">disk</StateMark><span>{{ freeWords(freeBytes!) }} left on the shop's disk.
          {{
            freeBytes! < REFUSED_BYTES
              ? 'No photos are taken until there is more room.'
              : 'Make room before it is full.'
          }}</span>
      </li>
      <li v-if="store.clockBehindMs !== null">
        <StateMark tone="act">clock</StateMark><span>The computer's clock lies {{ formatSpan(store.clockBehindMs) }} behind the last record. Set it right before
          you record.</span>
      </li>
      <li v-for="meat in store.heldMeat" :key="meat.code">
        <StateMark tone="held">held</StateMark><LotCode :code="meat.code" /><span>{{ holdWords(meat.reason, as) }}</span><NuxtLink to="/store">Decide in the Store</NuxtLink>
      </li>
      <li v-for="salt in store.countsDue" :key="salt.code">
        <StateMark tone="watch">count</StateMark><LotCode :code="salt.code" /><span>{{ salt.name }}: not counted for a month</span>
      </li>
      <li v-for="row in warm" :key="row.fridge.id">
        <StateMark :tone="row.verdict === 'too_cold' ? 'cold' : 'act'">
          {{
            row.verdict === 'too_cold' ? 'too cold' : 'warm'
          }}
        </StateMark><strong>{{ row.fridge.name }}</strong><span>{{ temperature(row.last.tempC) }} at {{ moment(row.last.atMs) }}</span><InstrumentNote :mark="row.last.instrument" />
      </li>
      <li v-for="row in missed" :key="row.lot.code">
        <StateMark tone="watch">missed</StateMark><LotCode :code="row.lot.code" /><span>{{ row.missed === 1 ? 'one turn' : `${row.missed} turns` }} in the cure so far</span>
      </li>
      <li v-for="one in unchecked" :key="one.id">
        <StateMark :tone="one.state === 'failed' ? 'act' : 'watch'">{{ STATE_WORDS[one.state] }}</StateMark><strong>{{ one.name }}</strong><NuxtLink to="/office#instruments-head">Check it in the Office</NuxtLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.7rem;
  align-items: center;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--hair);
}
</style>
