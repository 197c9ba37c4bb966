<script setup lang="ts">
import { computed } from 'vue'
import { upperFirst } from '#core/lists/upper-first'
import type { ComingWork } from '#core/today/coming-days'
import { dueWords } from '#shared/messages/due'
import { piecesWords } from '#shared/messages/pieces'
import { moreWords } from '#shared/messages/plans'
import type { LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { numbersOf, whereOf } from '~/logic/where-of'
import { hourWords, whyWords } from '~/words/due-words'

/** All that the plans have on one day: what, which pieces, where, by when and why. */
const props = defineProps<{ work: ComingWork[]; lots: LotSummary[]; places: PlaceView[] }>()
const { as, clock } = useNotation()
const rows = computed(() =>
  props.work.flatMap((one) => {
    const lot = props.lots.find(({ code }) => code === one.code)
    if (!lot) return []
    const numbers = numbersOf(lot, one.pieces)
    const why = [whyWords(one.because, as.value), one.add ? moreWords(one.add, as.value) : ''].filter(Boolean).join(', ')
    return [
      {
        ...one,
        what: upperFirst(dueWords(one, as.value)),
        pieces: numbers.length > 0 ? piecesWords(numbers) : 'all pieces',
        more: [whereOf(lot, one.pieces, props.places), why].filter(Boolean).join(': '),
        when: hourWords(one, clock) || 'any hour',
      },
    ]
  }),
)
</script>

<template>
  <ul>
    <li v-for="row in rows" :key="`${row.code} ${row.key}`">
      <span class="when small"><StateMark v-if="row.late" tone="act">late</StateMark>{{ ' ' }}{{ row.when }}</span>
      <span>{{ row.what }} <LotCode :code="row.code" />, {{ row.pieces }}<span class="soft small more">{{ row.more }}</span></span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0 0 0.5rem;
  padding: 0;
  border-left: 3px solid var(--hair-strong);
}
li {
  display: grid;
  grid-template-columns: 7.2rem minmax(0, 1fr);
  gap: 0.2rem;
  padding: 0.3rem 0 0.3rem 0.7rem;
}
.more {
  display: block;
}
.when {
  font-variant-numeric: tabular-nums;
}
</style>
