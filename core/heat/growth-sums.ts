import { GROWTH_SUMS, type GrowthRates } from '../rules/growth'
import { MS_PER_HOUR, type Celsius, type Milliseconds } from '../units/quantities'

/** A core temperature on a piece's line, whatever it lay in: heat, rest, counter or fridge. */
export interface LinePoint {
  atMs: Milliseconds
  tempC: Celsius
}

/** What a stretch of a straight line adds: the hours it spends in each band times the band's rate. */
function addedBetween(a: LinePoint, b: LinePoint, { bands, toC }: GrowthRates): number {
  const hours = (b.atMs - a.atMs) / MS_PER_HOUR
  const [low, high] = [Math.min(a.tempC, b.tempC), Math.max(a.tempC, b.tempC)]
  return bands.reduce((sum, { aboveC, perHour }, i) => {
    const endC = bands[i + 1]?.aboveC ?? toC
    const share
      = low === high
        ? Number(low > aboveC && low <= endC)
        : Math.max(0, Math.min(high, endC) - Math.max(low, aboveC)) / (high - low)
    return sum + hours * share * perHour
  }, 0)
}

/** `most`: the highest that the sum ever stood. */
export interface GrowthSum {
  now: number
  most: number
}

const at = (a: LinePoint, b: LinePoint, atMs: Milliseconds): LinePoint => ({
  atMs,
  tempC: a.tempC + ((b.tempC - a.tempC) * (atMs - a.atMs)) / (b.atMs - a.atMs),
})

/** The line with a point of its own at each instant that lies inside it. */
const cutAt = (line: readonly LinePoint[], instants: readonly Milliseconds[]): LinePoint[] =>
  line.flatMap((b, i) => {
    const a = line[i - 1]
    const inside = a ? instants.filter(ms => ms > a.atMs && ms < b.atMs).toSorted((one, other) => one - other) : []
    return [...inside.map(ms => at(a!, b, ms)), b]
  })

interface Run {
  fromMs: Milliseconds
  resetsMs: readonly Milliseconds[]
  /** True of a sum that never begins anew once it stood at the hold. */
  isFinal: boolean
}

/** Runs a sum along a line from an instant on; it begins anew at each reset. */
function sumAlong(line: readonly LinePoint[], rates: GrowthRates, { fromMs, resetsMs, isFinal }: Run): GrowthSum {
  const found: GrowthSum = { now: 0, most: 0 }
  const points = cutAt(line, [fromMs, ...resetsMs])
  for (const [i, b] of points.entries()) {
    const a = points[i - 1]
    if (a && a.atMs >= fromMs) found.now += addedBetween(a, b, rates)
    found.most = Math.max(found.most, found.now)
    if (resetsMs.includes(b.atMs) && !(isFinal && found.most >= GROWTH_SUMS.holdAt)) found.now = 0
  }
  return found
}

/** What ends or begins a sum on a piece's line: instants that readings show, see `reachedMs`. */
export interface GrowthMarks {
  cured: boolean
  /** When the core was first at 54 °C; null: never. */
  firstHotMs: Milliseconds | null
  /** When it was shown to be at 60 °C, each time. */
  hotMs: readonly Milliseconds[]
  /** When a lethality was complete in one stretch, each time. */
  lethalMs: readonly Milliseconds[]
}

/**
 * The two sums of a piece's line, in order of time: growth of Staphylococcus over all of it, of C. perfringens from the
 * first 54 °C on. 100 is about three decades of the one, one of the other. A line between two points is straight, also
 * over a long gap, which shows nothing and can only add. Staphylococcus begins anew at 60 °C, but what once stood at
 * 100 stays: its toxin survives. Perfringens begins anew with a lethality. Example: a rise from 10 to 54.4 °C in six
 * hours is 47; a fall to 26.7 °C in five and to 7.2 °C in ten more 96. House, sized on published growth models; good to
 * about a decade.
 */
export function growthSums(line: readonly LinePoint[], marks: GrowthMarks): { staph: GrowthSum; perfringens: GrowthSum } {
  const { staph, perfringens } = GROWTH_SUMS[marks.cured ? 'cured' : 'notCured']
  return {
    staph: sumAlong(line, staph, { fromMs: -Infinity, resetsMs: marks.hotMs, isFinal: true }),
    perfringens:
      marks.firstHotMs === null
        ? { now: 0, most: 0 }
        : sumAlong(line, perfringens, { fromMs: marks.firstHotMs, resetsMs: marks.lethalMs, isFinal: false }),
  }
}
