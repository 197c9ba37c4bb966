<script setup lang="ts">
import { computed, ref } from 'vue'
import { MS_PER_DAY, type Milliseconds } from '#core/units/quantities'
import type { LotView } from '#shared/contracts/lots'
import HangNote from '~/components/twine/HangNote.vue'
import { useNotation } from '~/composables/use-notation'
import { usePlot } from '~/composables/use-plot'
import { hangFacts } from '~/logic/hang-facts'
import { useSession } from '~/stores/session'

/** What hangs to dry: the loss of each piece by its weights, what it is meant to lose, and the days it may take. */
const props = defineProps<{ lot: LotView }>()
const { as, meat, moment, percent } = useNotation()
const session = useSession()
const root = ref<HTMLElement | null>(null)
const facts = computed(() => hangFacts(props.lot, props.lot.pieces))
const wall = (ms: Milliseconds) =>
  new Intl.DateTimeFormat('sv-SE', { timeZone: session.zone, dateStyle: 'short', timeStyle: 'short' }).format(ms)
const DASHES = ['solid', 'dash', 'dot', 'dashdot', 'longdash'] as const
const { failed, ink } = usePlot(root, figure, () => [facts.value, as.value])

function figure() {
  const all = facts.value
  if (!all.some(one => one.losses.length > 0)) return null
  const { from, to, sinceMs } = all[0]!
  const endMs = Math.max(...all.flatMap(one => [one.forecast?.toMs ?? 0, one.losses.at(-1)?.atMs ?? 0])) + MS_PER_DAY
  const data = all.map(({ piece, losses }, i) => ({
    name: `Piece ${piece.label}`,
    x: losses.map(one => wall(one.atMs)),
    y: losses.map(one => 100 * one.lost),
    type: 'scatter',
    mode: 'lines+markers',
    line: { color: ink('--ember'), width: 2, dash: DASHES[i % DASHES.length] },
    marker: { size: 8, symbol: i },
    hovertemplate: '%{y:.1f} %<extra></extra>',
  }))
  const ahead = all.flatMap(({ piece, forecast }, i) =>
    forecast
      ? [{
          name: `${piece.label} ready`,
          x: [forecast.fromMs, forecast.likelyMs, forecast.toMs].map(wall),
          // Words stand one above the other, where several share the days.
          y: [1, 1, 1].map(() => 100 * from + i * 0.7),
          type: 'scatter',
          mode: 'lines+markers',
          line: { color: ink('--heather'), width: 2, dash: DASHES[i % DASHES.length] },
          marker: { size: [8, 12, 8], symbol: ['line-ns-open', i, 'line-ns-open'], color: ink('--heather') },
          showlegend: false,
          hovertemplate: `piece ${piece.label}: %{x}<extra></extra>`,
        }]
      : [],
  )
  const axis = { gridcolor: ink('--hair'), linecolor: ink('--peat'), tickcolor: ink('--peat'), zeroline: false }
  return {
    data: [...data, ...ahead],
    layout: {
      height: 340,
      margin: { l: 78, r: 20, t: 28, b: 40 },
      paper_bgcolor: 'transparent',
      plot_bgcolor: 'transparent',
      showlegend: all.length > 1,
      font: { family: 'Atkinson Hyperlegible Next', size: 14, color: ink('--peat') },
      legend: { orientation: 'h', y: 1.14, x: 0 },
      xaxis: { ...axis, range: [wall(sinceMs), wall(endMs)], tickformat: '%d %b' },
      yaxis: { ...axis, title: { text: 'loss of green weight', standoff: 8 }, ticksuffix: ' %', rangemode: 'tozero' },
      shapes: [{
        type: 'rect',
        xref: 'paper',
        x0: 0,
        x1: 1,
        y0: 100 * from,
        y1: 100 * to,
        fillcolor: ink('--moss-wash'),
        line: { width: 0 },
        layer: 'below',
        label: { text: 'dry enough', textposition: 'top left', font: { size: 12, color: ink('--soft') } },
      }],
    },
    config: { displayModeBar: false, responsive: true },
  }
}
</script>

<template>
  <section v-if="facts.length" class="stack-tight" aria-labelledby="hanging-head">
    <h2 id="hanging-head">Hanging</h2>
    <HangNote :lot="lot" :pieces="lot.pieces" />
    <p v-if="failed" class="caution">The chart could not be drawn. The weights all stand in the table below.</p>
    <div ref="root" role="img" :aria-label="`Loss of ${lot.code} against time; the same figures stand in the table below.`" />
    <table v-if="facts.some(one => one.losses.length)" class="ruled">
      <thead>
        <tr>
          <th scope="col">Piece</th>
          <th scope="col">Weighed</th>
          <th scope="col" class="num">Weight by then</th>
          <th scope="col" class="num">Loss</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="one in facts" :key="one.piece.id">
          <tr v-for="loss in one.losses" :key="loss.atMs">
            <td>{{ one.piece.label }}<span v-if="one.piece.spot" class="small soft">, {{ one.piece.spot }}</span></td>
            <td>{{ moment(loss.atMs) }}</td>
            <td class="num">{{ meat(one.piece.greenG * (1 - loss.lost)) }}<span v-if="loss.shared" class="small soft"> shared</span></td>
            <td class="num">{{ percent(loss.lost) }}</td>
          </tr>
        </template>
      </tbody>
    </table>
    <p class="caution calm">
      Four times in five the day lies in the range; it is worked out from the weights alone. Hung meat is not cooked: raw dried
      pork is not for pregnant or weak people, and your inspector and local code decide what it may be sold as.
    </p>
  </section>
</template>
