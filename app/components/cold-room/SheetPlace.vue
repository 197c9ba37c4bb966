<script setup lang="ts">
import type { ComingDay } from '#core/today/coming-days'
import { upperFirst } from '#core/lists/upper-first'
import type { Milliseconds } from '#core/units/quantities'
import { dueWords } from '#shared/messages/due'
import { piecesWords } from '#shared/messages/pieces'
import { moreWords } from '#shared/messages/plans'
import type { PlaceView } from '#shared/contracts/places'
import type { LyingGroup, LyingLotRow } from './lying'
import LotStacks from '~/components/twine/LotStacks.vue'
import { useNotation } from '~/composables/use-notation'
import { lotDay, lotTwines } from '~/logic/lot-twine'
import { numbersOf } from '~/logic/where-of'
import { goingWords, hourWords } from '~/words/due-words'

/** One place on paper: each lot with its pieces, its work with boxes to tick, and how its stack goes over. */
const props = defineProps<{ place: PlaceView; lying: LyingGroup; days: ComingDay[]; nowMs: Milliseconds }>()
const { as, clock } = useNotation()
const rows = () => [...props.lying.curing, ...props.lying.others]
const isCuring = ({ pieces }: LyingLotRow) => pieces[0]!.stage === 'cure'
const workOf = ({ lot, pieces }: LyingLotRow, day: ComingDay) =>
  day.work
    .filter(one => one.code === lot.code && (one.pieces === null || one.pieces.some(id => pieces.some(piece => piece.id === id))))
    .map((one) => {
      const numbers = numbersOf(lot, one.pieces)
      return [
        `${upperFirst(dueWords(one, as.value))}${numbers.length ? ` ${piecesWords(numbers)}` : ''}`,
        hourWords(one, clock),
        one.add ? moreWords(one.add, as.value) : '',
      ].filter(Boolean).join(', ')
    })
const spotWords = ({ tag, spot, face }: LyingLotRow['pieces'][number]) => [tag, spot, face && `${face} up`].filter(Boolean).join(', ')
</script>

<template>
  <section :aria-label="place.name">
    <h2>{{ place.name }}</h2>
    <p class="reading">Read at ______ : ________ ° &nbsp; Read at ______ : ________ ° &nbsp; by ______</p>
    <table>
      <thead>
        <tr>
          <th scope="col" class="lot">Lot</th>
          <th scope="col">Pieces as they lie</th>
          <th scope="col">Today</th>
          <th scope="col">Tomorrow</th>
        </tr>
      </thead>
      <tbody v-for="row in rows()" :key="`${row.lot.code} ${row.pieces[0]!.stage}`">
        <tr>
          <th scope="row">
            <span class="code">{{ row.lot.code }}</span>
            <div class="small">{{ row.lot.cut }}</div>
            <div class="small">
              {{
                isCuring(row)
                  ? `day ${lotDay(row.lot, nowMs)}`
                  : goingWords(row.lot, row.pieces.map(piece => piece.id), row.pieces[0]!.stage)
              }}
            </div>
          </th>
          <td>
            <div v-for="piece in row.pieces" :key="piece.id">
              <strong>{{ piece.label }}</strong> <span class="small">{{ spotWords(piece) }}</span>
            </div>
          </td>
          <td v-for="day in days" :key="day.date">
            <div v-for="words in workOf(row, day)" :key="words" class="job"><span class="tick" aria-hidden="true" />{{ words }}</div>
          </td>
        </tr>
        <tr v-if="isCuring(row) && row.pieces.some(piece => piece.layer !== null)">
          <td />
          <td colspan="3"><LotStacks :pieces="row.pieces" :twines="lotTwines(row.lot, nowMs)" :now-ms="nowMs" /></td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
section {
  break-inside: avoid-page;
  margin-bottom: 1.4rem;
}
table {
  table-layout: fixed;
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 0.3rem 0.6rem 0.3rem 0;
}
tbody th .small {
  font-weight: 400;
}
.lot {
  width: 9.5rem;
}
tbody {
  border-top: 1px solid var(--hair);
  break-inside: avoid;
}
.job {
  display: grid;
  grid-template-columns: 1.3rem minmax(0, 1fr);
}
.tick {
  width: 0.9rem;
  height: 0.9rem;
  border: 1.4px solid currentcolor;
  margin-top: 0.25rem;
}
.reading {
  white-space: pre-wrap;
}
@media (--phone) {
  table {
    display: block;
    overflow-x: auto;
  }
}
</style>
