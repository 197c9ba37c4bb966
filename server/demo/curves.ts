import { seeded } from '#core/lists/seeded'
import { type Celsius, type Milliseconds, MS_PER_MINUTE } from '#core/units/quantities'

export interface CurvePoint {
  atMs: Milliseconds
  chamberC: Celsius
  coreC: Celsius
}

export interface SmokeCurve {
  startMs: Milliseconds
  minutes: number
  everyMinutes: number
  chamberC: Celsius
  startCoreC: Celsius
  /** Share of the way to the chamber that the core goes in a minute. */
  perMinute: number
  seed: number
}

const tenth = (tempC: Celsius) => Math.round(tempC * 10) / 10
/** The chamber drops when fuel is put on. */
const REFUEL_MINUTES = 70
const REFUEL_DROP_C = 7
const WARM_UP_MINUTES = 35

/** A smoker with a fire in it and a slab that follows slowly: two lags in a row, refuelling dips and a little noise. */
export function smokeCurve(c: SmokeCurve): CurvePoint[] {
  const random = seeded(c.seed)
  let middleC = c.startCoreC
  let coreC = c.startCoreC
  const points: CurvePoint[] = []
  for (let minute = 0; minute <= c.minutes; minute++) {
    const warmUp = 1 - Math.exp(-minute / WARM_UP_MINUTES)
    const sinceFuel = minute % REFUEL_MINUTES
    const dip = minute > REFUEL_MINUTES ? REFUEL_DROP_C * Math.exp(-sinceFuel / 8) : 0
    const chamberC = 18 + (c.chamberC - 18) * warmUp - dip + (random() - 0.5) * 1.6
    middleC += (chamberC - middleC) * c.perMinute * 2
    coreC += (middleC - coreC) * c.perMinute * 2
    if (minute % c.everyMinutes === 0)
      points.push({ atMs: c.startMs + minute * MS_PER_MINUTE, chamberC: tenth(chamberC), coreC: tenth(coreC) })
  }
  return points
}

/** Newton's cooling towards a cold room at 2 °C. */
export function coolingCurve(
  startMs: Milliseconds,
  startC: Celsius,
  perMinute: number,
  minutes: number,
  everyMinutes: number,
): { atMs: Milliseconds; coreC: Celsius }[] {
  const count = Math.floor(minutes / everyMinutes)
  return Array.from({ length: count }, (_, i) => {
    const minute = (i + 1) * everyMinutes
    return { atMs: startMs + minute * MS_PER_MINUTE, coreC: tenth(2 + (startC - 2) * Math.exp(-perMinute * minute)) }
  })
}
