<script setup lang="ts">
import { KILL_FROM_C, SALMONELLA_LOG } from '#core/rules/guideline'
import { computed, ref } from 'vue'
import { type Celsius, celsiusToFahrenheit, type Milliseconds } from '#core/units/quantities'
import type { RunView } from '#shared/contracts/smoke'
import { useNotation } from '~/composables/use-notation'
import { usePlot } from '~/composables/use-plot'
import { useSession } from '~/stores/session'

/** The smoke line: chamber and core against the shop's clock, with lethality filling up behind the core. */
const props = defineProps<{ run: RunView }>()
const { as, temperature } = useNotation()
const session = useSession()
const root = ref<HTMLElement | null>(null)
/** More dots than these run together. */
const MARKED_MOST = 150
const shown = (tempC: Celsius | null) =>
  tempC === null ? null : as.value.temperature === 'F' ? celsiusToFahrenheit(tempC) : tempC
/** Plotly has no zones: the shop's clock is written out as if it were UTC. */
const wall = (ms: Milliseconds) =>
  new Intl.DateTimeFormat('sv-SE', { timeZone: session.zone, dateStyle: 'short', timeStyle: 'medium' }).format(ms)
const { failed, ink } = usePlot(root, figure, () => [props.run, as.value])
const hasReadings = computed(() => props.run.points.length > 0)

function figure() {
  if (!hasReadings.value) return null
  const { points, targetCoreC, pulledAtMs } = props.run
  const chamber = points.filter(r => r.chamberC !== null)
  const core = points.filter(r => r.coreC !== null)
  const smoke = points.flatMap(r => (r.log === null ? [] : [{ atMs: r.atMs, log: r.log }]))
  // There is no credit without a core, and no axis for it: Plotly lays nothing over an axis that has no line.
  const hasCredit = smoke.length > 0
  const warmth = hasCredit ? 'y2' : 'y'
  const line = (name: string, color: string, y: number, dash: string) => ({
    type: 'line',
    xref: 'paper',
    yref: warmth,
    x0: 0,
    x1: 1,
    y0: y,
    y1: y,
    line: { color: ink(color), width: 1.2, dash },
    label: { text: name, textposition: 'start', font: { size: 12, color: ink('--soft') }, padding: 3 },
  })
  const credit = {
    name: 'Salmonella credit',
    x: smoke.map(r => wall(r.atMs)),
    y: smoke.map(({ log }) => (Math.min(log, SALMONELLA_LOG) / SALMONELLA_LOG) * 100),
    type: 'scatter',
    mode: 'lines',
    fill: 'tozeroy',
    line: { color: ink('--moss'), width: 1 },
    fillcolor: ink('--moss-wash'),
    hovertemplate: '%{y:.0f} % of 6.5 log<extra></extra>',
  }
  const data = [
    ...(hasCredit ? [credit] : []),
    {
      name: 'Chamber',
      x: chamber.map(r => wall(r.atMs)),
      y: chamber.map(r => shown(r.chamberC)),
      yaxis: warmth,
      type: 'scatter',
      mode: 'lines',
      line: { color: ink('--straw-ink'), width: 2, dash: 'dot' },
    },
    {
      name: 'Core',
      x: core.map(r => wall(r.atMs)),
      y: core.map(r => shown(r.coreC)),
      yaxis: warmth,
      type: 'scatter',
      mode: core.length > MARKED_MOST ? 'lines' : 'lines+markers',
      line: { color: ink('--ember'), width: 3 },
      marker: { size: 5 },
    },
  ]
  const axis = { gridcolor: ink('--hair'), linecolor: ink('--peat'), tickcolor: ink('--peat'), zeroline: false }
  const percent = {
    ...axis,
    side: 'right',
    range: [0, 100],
    showgrid: false,
    ticksuffix: ' %',
    title: { text: 'of 6.5 log' },
    tickvals: [0, 50, 100],
  }
  const degrees = {
    ...axis,
    side: 'left',
    tickmode: 'auto',
    nticks: 9,
    title: { text: `°${as.value.temperature}` },
    rangemode: 'tozero',
  }
  const layout = {
    height: 400,
    margin: { l: 52, r: 56, t: 28, b: 40 },
    paper_bgcolor: 'transparent',
    plot_bgcolor: 'transparent',
    showlegend: true,
    font: { family: 'Atkinson Hyperlegible Next', size: 14, color: ink('--peat') },
    legend: { orientation: 'h', y: 1.12, x: 0 },
    hovermode: 'x unified',
    xaxis: { ...axis, tickformat: '%H:%M' },
    // The credit lies behind: the temperatures' axis is laid over it.
    ...(hasCredit ? { yaxis: percent, yaxis2: { ...degrees, overlaying: 'y' } } : { yaxis: degrees }),
    shapes: [
      line(`target ${temperature(targetCoreC)}`, '--heather', shown(targetCoreC)!, 'dash'),
      line(`kill from ${temperature(KILL_FROM_C)}`, '--moss', shown(KILL_FROM_C)!, 'dot'),
      ...(pulledAtMs === null
        ? []
        : [
            {
              type: 'line',
              yref: 'paper',
              y0: 0,
              y1: 1,
              x0: wall(pulledAtMs),
              x1: wall(pulledAtMs),
              line: { color: ink('--peat'), width: 1.5 },
              label: { text: 'pulled', textposition: 'start', textangle: 0, font: { size: 12 }, padding: 3 },
            },
          ]),
    ],
  }
  return { data, layout, config: { displayModeBar: false, responsive: true } }
}
</script>

<template>
  <figure class="smoke-line">
    <p v-if="!hasReadings" class="empty">
      No reading yet. Enter the first chamber and core below, and the line begins.
    </p>
    <p v-if="failed" class="caution">The chart could not be drawn. The readings are all in the table below.</p>
    <div
      ref="root"
      role="img"
      :aria-label="`Chamber and core of ${run.code} against time; the same figures stand in the readings table.`"
    />
  </figure>
</template>

<style scoped>
.smoke-line {
  margin: 0;
  min-height: 60px;
}
</style>
