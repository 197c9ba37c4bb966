import { MS_PER_DAY, type Fraction, type Milliseconds } from '../units/quantities'

/** What a hanging piece had lost when it was weighed, of its green weight. */
export interface LossPoint {
  atMs: Milliseconds
  lost: Fraction
}

export interface ForecastQuestion {
  /** Since when it hangs. */
  hungAtMs: Milliseconds
  /** Weighings in order of time, from the hanging on. */
  points: readonly LossPoint[]
  /** Loss at which it is ready, of green weight. */
  target: Fraction
  /** Share of water in its green weight, as it may be at its most. */
  waterShare: Fraction
}

/** When the target will be reached: four times in five between `fromMs` and `toMs`. */
export interface Forecast {
  fromMs: Milliseconds
  likelyMs: Milliseconds
  toMs: Milliseconds
  /** How likely it gets there at all, 0 to 1. */
  reaches: Fraction
}

/** The most of its water that a piece loses by hanging: what stays is bound. House. */
export const MOST_OF_WATER = 0.9
/** The least that it loses, however damp the air. House. */
const LEAST_OF_WATER = 0.5
/** Loss before it hangs, in the cure and drying: expected, and how far off. House. */
const BEFORE = { lost: 0.03, off: 0.03 }
/** How far a weight may lie off the curve: the scale, and that meat is no curve. House, by simulated slabs. */
const POINT_OFF = 0.0017
/** How much longer or shorter the time still to go may be: weather, humidity, a door left open. House, by the same. */
const TIME_OFF = 0.06
/** Towards its end the air is kept drier than while it was weighed so far. House, by the same. */
const SOONER = 0.95
const SPREAD = [-1.28, -0.52, 0, 0.52, 1.28].map(z => SOONER * Math.exp(TIME_OFF * z))
/** Rates, per day, tried alike on a logarithmic scale; final losses tried alike. */
const RATES = Array.from({ length: 48 }, (_, i) => 0.006 * (0.3 / 0.006) ** (i / 47))
const FINALS = 28
/** Longer nobody waits. */
const MOST_DAYS = 365
/** Stretches of a day that are told apart. */
const A_DAY = 8

/**
 * The day on which a hanging piece will have lost so much, with a range, from its weights so far: each curve
 * `final - a exp(-k t)` that the water allows counts by how well it fits them (Gaussian errors, all rates and finals
 * alike beforehand). Null with fewer than two weights, and where the target cannot be reached by any of them.
 */
export function forecastLoss({ hungAtMs, points, target, waterShare }: ForecastQuestion): Forecast | null {
  if (points.length < 2) return null
  const inDays = points.map(point => ({ day: (point.atMs - hungAtMs) / MS_PER_DAY, lost: point.lost }))
  const last = inDays.at(-1)!
  const leastFinal = LEAST_OF_WATER * waterShare
  const mostFinal = Math.max(MOST_OF_WATER * waterShare, last.lost + POINT_OFF)
  const likely = new Float64Array(MOST_DAYS * A_DAY)
  let [all, reached] = [0, 0]
  for (let f = 0; f < FINALS; f += 1) {
    const final = leastFinal + ((mostFinal - leastFinal) * (f + 1)) / FINALS
    for (const rate of RATES) {
      const { weight, day } = fit(inDays, final, rate, target)
      all += weight
      if (day === null || weight === 0) continue
      const toGo = Math.max(0, day - last.day)
      if (last.day + toGo >= MOST_DAYS) continue
      reached += weight
      for (const by of SPREAD) {
        const at = Math.min(likely.length - 1, Math.round((last.day + toGo * by) * A_DAY))
        likely[at] = likely[at]! + weight / SPREAD.length
      }
    }
  }
  if (!(reached > 0)) return null
  const msOf = (share: Fraction) => hungAtMs + (dayBy(likely, share * reached) / A_DAY) * MS_PER_DAY
  return { fromMs: msOf(0.1), likelyMs: msOf(0.5), toMs: msOf(0.9), reaches: reached / all }
}

/** The first stretch by which so much weight lies. */
function dayBy(likely: Float64Array, weight: number): number {
  let sum = 0
  return likely.findIndex((one) => {
    sum += one
    return sum >= weight
  })
}

/** How well a curve of one final loss and rate fits at its best, and on which day it comes to the target. */
function fit(points: readonly { day: number; lost: Fraction }[], final: Fraction, rate: number, target: Fraction) {
  const tail = points.map(point => Math.exp(-rate * point.day))
  const [pointWeight, beforeWeight] = [POINT_OFF ** -2, BEFORE.off ** -2]
  // What is known of the loss before it hung counts as one more weight on its first day.
  const over = tail.reduce((sum, e, i) => sum + e * (final - points[i]!.lost) * pointWeight, (final - BEFORE.lost) * beforeWeight)
  const under = tail.reduce((sum, e) => sum + e * e * pointWeight, beforeWeight)
  const ahead = over / under
  const misfit = tail.reduce(
    (sum, e, i) => sum + (final - ahead * e - points[i]!.lost) ** 2 * pointWeight,
    (final - ahead - BEFORE.lost) ** 2 * beforeWeight,
  )
  const reaches = ahead > 0 && final > target
  return {
    weight: ahead > 0 ? Math.exp(-misfit / 2) : 0,
    day: reaches ? Math.max(0, Math.log(ahead / (final - target)) / rate) : null,
  }
}
