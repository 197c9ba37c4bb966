<script setup lang="ts">
import { computed } from 'vue'
import { localDay } from '#core/calendar/local-day'
import { groupBy } from '#core/lists/group-by'
import type { Milliseconds } from '#core/units/quantities'
import { piecesWords } from '#shared/messages/pieces'
import type { LotPiece, LotSummary } from '#shared/contracts/lots'
import { useNotation } from '~/composables/use-notation'
import { hangFacts } from '~/logic/hang-facts'
import { useSession } from '~/stores/session'
import { hangWords } from '~/words/hang-words'

/** What hanging pieces have lost, and the day on which they will have lost enough; those alike in one line. */
const props = defineProps<{ lot: Pick<LotSummary, 'pieces' | 'plan' | 'piecePlans' | 'did' | 'cut'>; pieces: LotPiece[] }>()
const { as, date } = useNotation()
const session = useSession()
const dayOf = (ms: Milliseconds) => date(localDay(ms, session.zone))
const lines = computed(() => {
  const facts = hangFacts(props.lot, props.pieces)
  const alike = [...groupBy(facts, one => hangWords(one, as.value, dayOf))]
  return alike.map(([words, some]) => ({
    words,
    which: some.length === facts.length ? '' : `${piecesWords(some.map(one => one.piece.label))} `,
    lost: Math.min(...some.map(one => one.lost ?? 0)),
    from: some[0]!.from,
    over: some.some(one => one.lost !== null && one.lost > one.to),
  }))
})
</script>

<template>
  <p v-for="line in lines" :key="line.which" class="hang" :class="{ over: line.over }">
    <svg viewBox="0 0 100 8" width="100" height="8" aria-hidden="true">
      <rect x="0" y="2" width="100" height="4" class="rail" />
      <rect x="0" y="2" :width="Math.max(0, Math.min(100, (100 * line.lost) / line.from))" height="4" class="lost" />
    </svg>
    <span class="small">{{ line.which }}{{ line.words }}</span>
  </p>
</template>

<style scoped>
.hang {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  margin: 0.15rem 0 0;
}
svg {
  flex: none;
}
.rail {
  fill: var(--hair);
}
.lost {
  fill: var(--straw-ink);
}
.over {
  color: var(--ember);
  font-weight: 600;
}
</style>
