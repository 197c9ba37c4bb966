<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { localDay } from '#core/calendar/local-day'
import type { PlaceView } from '#shared/contracts/places'
import SheetHead from '~/components/sheets/SheetHead.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import { useClock } from '~/composables/use-clock'
import { useNotation } from '~/composables/use-notation'
import { hangFacts, humidityPlan } from '~/logic/hang-facts'
import { hangWords } from '~/words/hang-words'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

/** What hangs to dry, hook by hook: what it weighed, what it should come to, and room for the next weights. */
const WEEKS = 3
/** Columns before those for writing. */
const SAID = 5
const floor = useFloor()
const session = useSession()
const nowMs = useClock()
const { as, date, clock, meat, temperature } = useNotation()
const today = computed(() => localDay(nowMs.value, session.zone))
const dayOf = (ms: number) => date(localDay(ms, session.zone))
const hookOf = (spot: string | null) => Number(/\d+/.exec(spot ?? '')?.[0] ?? Infinity)
const places = computed(() =>
  (floor.view?.places ?? [])
    .map(place => ({
      place,
      rows: floor.lots
        .flatMap(lot => hangFacts(lot, lot.pieces.filter(piece => piece.placeId === place.id)).map(facts => ({ lot, facts })))
        .toSorted((a, b) => hookOf(a.facts.piece.spot) - hookOf(b.facts.piece.spot)),
    }))
    .filter(({ rows }) => rows.length > 0),
)
const placeWords = ({ targetC, targetRh }: PlaceView) =>
  [targetC !== null && temperature(targetC), targetRh !== null && `${Math.round(targetRh)} % RH`].filter(Boolean).join(', ')
onMounted(floor.load)
</script>

<template>
  <div>
    <SheetHead title="Hanging sheet">
      {{ date(today) }}, {{ clock(nowMs) }}. Weigh every week, without hook and string; what is written here is told late in
      the Cold room, with its day.
    </SheetHead>
    <LoadProblem v-if="floor.problem && !floor.view" :problem="floor.problem" @again="floor.load" />
    <p v-else-if="!floor.view" class="empty">Reading the book…</p>
    <p v-else-if="!places.length" class="empty">Nothing hangs to dry.</p>
    <section v-for="{ place, rows } in places" :key="place.id" class="mb-6" :aria-label="place.name">
      <h2>
        {{ place.name }} <span class="small soft">{{ placeWords(place) }}</span>
      </h2>
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Hook</th>
            <th scope="col">Piece</th>
            <th scope="col" class="num">Green</th>
            <th scope="col" class="num">Last weight</th>
            <th scope="col" class="num">Dry at</th>
            <th v-for="week in WEEKS" :key="week" scope="col" class="write">kg / date</th>
          </tr>
        </thead>
        <tbody v-for="{ lot, facts } in rows" :key="facts.piece.id">
          <tr class="figures">
            <td class="hook">{{ facts.piece.spot ?? '–' }}</td>
            <td>
              <span class="code">{{ lot.code }}</span>/{{ facts.piece.label }}
              <span v-if="facts.piece.tag" class="small">{{ facts.piece.tag }}</span>
            </td>
            <td class="num">{{ meat(facts.piece.greenG) }}</td>
            <td class="num">
              <template v-if="facts.lost !== null">
                {{ meat(facts.piece.greenG * (1 - facts.lost)) }}<span class="small soft">,
                  {{ dayOf(facts.losses.at(-1)!.atMs) }}</span>
              </template>
              <template v-else>–</template>
            </td>
            <td class="num wraps">{{ meat(facts.piece.greenG * (1 - facts.from)) }} to {{ meat(facts.piece.greenG * (1 - facts.to)) }}</td>
            <td v-for="week in WEEKS" :key="week" class="write" rowspan="2" />
          </tr>
          <tr>
            <td class="small" :colspan="SAID">{{ hangWords(facts, as, dayOf) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="humidityPlan(rows.map(row => row.lot)).length" class="small">
        Air:
        <span v-for="one in humidityPlan(rows.map(row => row.lot))" :key="one.atMs + one.percent" class="box">
          ☐ {{ one.percent }} % from {{ dayOf(one.atMs) }}
        </span>
      </p>
    </section>
    <p v-if="places.length" class="caution calm">
      Too warm, too damp, soft, slimy or with mould that is not white: say so in the Cold room; the owner decides. Hooks and pins
      are counted in and out.
    </p>
  </div>
</template>

<style scoped>
h2 {
  margin-top: 1rem;
}
.hook {
  white-space: nowrap;
}
.write {
  min-width: 5.2rem;
  border-left: 1px solid var(--hair);
}
tbody {
  break-inside: avoid;
}
.figures td:not(.write) {
  border-bottom: 0;
  padding-bottom: 0;
}
.wraps {
  white-space: normal;
  min-width: 4.5rem;
}
@media print {
  .write {
    min-width: 4.2rem;
  }
}
.box {
  margin-right: 1.4rem;
}
</style>
