<script setup lang="ts">
import { computed, ref } from 'vue'
import { localDay } from '#core/calendar/local-day'
import type { Stage } from '#core/life/kinds/stage'
import { comingOf } from '#core/plan/coming'
import { dueLot } from '#core/today/lot-tasks'
import { MS_PER_DAY, type Milliseconds } from '#core/units/quantities'
import { upperFirst } from '#core/lists/upper-first'
import { dueWords } from '#shared/messages/due'
import type { LotView } from '#shared/contracts/lots'
import { useNotation } from '~/composables/use-notation'
import { useWidth } from '~/composables/use-width'
import { lineRows, type LineRow } from './life-line'

/**
 * A lot from its rub to today, piece by piece, where its ways part: done is solid, what its plan still has is open. Said in
 * words for those who do not see it; the arrow and tab keys walk it row by row.
 */
const props = defineProps<{ lot: LotView; nowMs: Milliseconds }>()
const { as, moment, date } = useNotation()
const box = ref<HTMLElement | null>(null)
const width = useWidth(box, 900)
const ROW = 26
const TOP = 22
const LEFT = 74
const RIGHT = 16
const AHEAD_DAYS = 21

const STAGE: Record<Stage, string> = {
  cure: 'in the cure',
  soak: 'in water',
  dry: 'drying',
  heat: 'in the heat',
  rest: 'at rest',
  hang: 'hanging',
}
const GONE = { cut: 'cut up', sliced: 'sliced to the end', taken: 'taken away' } as const

const rows = computed(() => lineRows(props.lot.lines, props.nowMs))
/** What its plans still have, as far as there is a day for it. */
const ahead = computed(() => comingOf(dueLot(props.lot), props.nowMs, AHEAD_DAYS).filter(one => one.kind !== 'turn'))
const leaves = computed(() => props.lot.pieces)
const aheadOf = (row: LineRow) => {
  const ids = leaves.value.filter(piece => row.labels.includes(piece.label)).map(piece => piece.id)
  return ids.length === 0 ? [] : ahead.value.filter(one => one.pieces === null || one.pieces.some(id => ids.includes(id)))
}
const lastMs = computed(() => Math.max(props.nowMs + MS_PER_DAY, ...ahead.value.map(one => one.atMs + MS_PER_DAY / 2)))
const x = (atMs: Milliseconds) =>
  LEFT + ((atMs - props.lot.rubbedAtMs) / (lastMs.value - props.lot.rubbedAtMs)) * (width.value - LEFT - RIGHT)
const y = (row: number) => TOP + row * ROW + ROW / 2
const height = computed(() => TOP + rows.value.length * ROW + 6)
const used = computed(() => [...new Set(rows.value.flatMap(row => row.stretches.map(one => one.stage)))])
const placeName = (id: number | null) => props.lot.linePlaces.find(place => place.id === id)?.name ?? ''

function words(row: LineRow): string {
  const said = row.stretches.map(({ stage, placeId, fromMs, open }) => {
    const where = placeName(placeId)
    return `${STAGE[stage]}${where ? `, ${where},` : ''} from ${moment(fromMs)}${open ? ' until now' : ''}`
  })
  const parted = row.from ? `parts from ${rows.value[row.from.row]!.labels[0]} ${moment(row.from.atMs)}; ` : ''
  const end = row.gone ? `; ${GONE[row.gone.why]} ${moment(row.gone.atMs)}` : ''
  const next = aheadOf(row).map(one => `${dueWords(one, as.value)} ${date(localDay(one.atMs, props.lot.zone))}`)
  return `${upperFirst(row.labels.length === 1 ? 'piece' : 'pieces')} ${row.labels.join(', ')}: `
    + `${parted}${said.join('; ')}${end}${next.length ? `. Planned: ${next.join(', ')}` : ''}.`
}
/** Arrow keys go from row to row. */
function walk(event: KeyboardEvent, by: number): void {
  const all = [...(box.value?.querySelectorAll<SVGGElement>('g.life') ?? [])]
  all[all.indexOf(event.currentTarget as SVGGElement) + by]?.focus()
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="life-head">
    <h2 id="life-head">Its life</h2>
    <div ref="box" class="box">
      <svg :width="width" :height="height" role="group" :aria-label="`Life of ${lot.code}, ${rows.length} rows`">
        <g class="axis">
          <text :x="LEFT" y="14">{{ date(lot.rubbedOn) }}</text>
          <line class="now" :x1="x(nowMs)" :x2="x(nowMs)" y1="4" :y2="height" />
          <text :x="x(nowMs) - 4" y="14" text-anchor="end">now</text>
        </g>
        <g
          v-for="row in rows"
          :key="row.row"
          class="life"
          tabindex="0"
          role="img"
          :aria-label="words(row)"
          @keydown.down.prevent="walk($event, 1)"
          @keydown.up.prevent="walk($event, -1)"
        >
          <title>{{ words(row) }}</title>
          <rect class="hit" x="0" :y="y(row.row) - ROW / 2" :width="width" :height="ROW" />
          <text x="4" :y="y(row.row) + 5" class="label">
            {{ row.labels.length > 4 ? `${row.labels[0]}–${row.labels.at(-1)}` : row.labels.join(' ') }}
          </text>
          <path
            v-if="row.from"
            class="branch"
            :d="`M${x(row.from.atMs)} ${y(row.from.row)} V${y(row.row)} H${x(row.from.atMs) + 6}`"
          />
          <line
            v-for="part in row.stretches"
            :key="part.fromMs"
            :class="['part', part.stage]"
            :x1="x(part.fromMs)"
            :x2="Math.max(x(part.toMs), x(part.fromMs) + 2)"
            :y1="y(row.row)"
            :y2="y(row.row)"
          />
          <template v-if="row.gone">
            <circle class="end" :cx="x(row.gone.atMs)" :cy="y(row.row)" r="5" />
            <text v-if="row.gone.why !== 'cut'" class="small-text" :x="x(row.gone.atMs) + 9" :y="y(row.row) + 4">
              {{ GONE[row.gone.why] }}
            </text>
          </template>
          <template v-else-if="aheadOf(row).length">
            <line class="plan" :x1="x(nowMs)" :x2="x(aheadOf(row).at(-1)!.atMs)" :y1="y(row.row)" :y2="y(row.row)" />
            <circle v-for="(one, i) in aheadOf(row)" :key="i" class="open" :cx="x(Math.max(one.atMs, nowMs))" :cy="y(row.row)" r="5" />
          </template>
        </g>
      </svg>
    </div>
    <ul class="legend small">
      <li v-for="stage in used" :key="stage">
        <svg width="26" height="10" aria-hidden="true">
          <line :class="['part', stage]" x1="1" x2="25" y1="5" y2="5" /></svg>{{ STAGE[stage] }}
      </li>
      <li><svg width="26" height="10" aria-hidden="true"><line class="plan" x1="1" x2="25" y1="5" y2="5" /></svg>planned</li>
    </ul>
  </section>
</template>

<style scoped>
.box {
  min-width: 0;
  overflow: hidden;
}
text {
  font-size: 13px;
  fill: var(--soft);
}
.label {
  fill: var(--peat);
  font-weight: 600;
  font-size: 15px;
}
.small-text {
  font-size: 12px;
}
.hit {
  fill: transparent;
}
.life:focus {
  outline: none;
}
.life:focus-visible .hit {
  stroke: var(--heather);
  stroke-width: 2;
}
.now {
  stroke: var(--heather);
  stroke-width: 1.5;
}
.branch {
  fill: none;
  stroke: var(--peat);
  stroke-width: 2;
}
.part {
  stroke: var(--straw-ink);
  stroke-width: 7;
}
.soak {
  stroke: var(--cold, var(--heather));
  stroke-dasharray: 3 3;
}
.dry {
  stroke: var(--soft);
  stroke-width: 3;
}
.heat {
  stroke: var(--ember);
  stroke-width: 11;
}
.rest {
  stroke: var(--heather);
  stroke-width: 4;
}
.hang {
  stroke: var(--moss);
  stroke-width: 7;
  stroke-dasharray: 9 3;
}
.plan {
  stroke: var(--peat);
  stroke-width: 1.5;
  stroke-dasharray: 2 4;
}
.open {
  fill: var(--bone);
  stroke: var(--peat);
  stroke-width: 1.5;
}
.end {
  fill: var(--peat);
}
.legend {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.1rem;
  margin: 0;
  padding: 0;
}
.legend svg {
  margin-right: 0.35rem;
}
</style>
