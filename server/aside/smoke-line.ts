import { type PackedReadings, coreReadings, unpackReadings } from '#core/readings/packed-readings'
import { thinned } from '#core/readings/thin'
import { runFigures, type RunFigures } from '#core/smoke/run-figures'
import { POINTS_DRAWN } from '#shared/faults/sizes'
import type { RunPoint } from '#shared/contracts/smoke'

/** A smoke's line as it is drawn, and what all its readings come to. */
export interface SmokeLine {
  count: number
  points: RunPoint[]
  figures: RunFigures
}

export function smokeLine(readings: PackedReadings): SmokeLine {
  const { credit, ...figures } = runFigures(coreReadings(readings, 'smoke'))
  let smoked = 0
  const points = unpackReadings(readings).map((reading): RunPoint => ({
    ...reading,
    log: reading.phase === 'smoke' && reading.coreC !== null ? credit[smoked++]! : null,
  }))
  return {
    count: readings.count,
    figures,
    points: thinned(points, [point => point.chamberC, point => point.coreC], POINTS_DRAWN),
  }
}
