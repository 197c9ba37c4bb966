import { BRINE_FULL_SHARE } from '../cure/formulate'
import { groupBy } from '../lists/group-by'
import { DRAINED_EARLY_MS, DRAIN_SETTLED_MS, LIQUID_LOSS } from '../rules/house'
import { PPM_PER_UNIT, type Fraction, type Grams, type Milliseconds, type Ppm } from '../units/quantities'

/** Salt and nitrite that went onto a spot, at their lowest. */
export interface PutOn {
  atMs: Milliseconds
  spot: string
  saltLowG: Grams
  nitriteLowG: Grams
}
/** Liquid that left a spot for good. */
export interface Lost {
  atMs: Milliseconds
  spot: string
  /** At its most; null: nobody saw how much. */
  highG: Grams | null
  /** Salt was to be seen lying there. */
  saltLies: boolean
}
/** A bag, a tub, or a whole rack: what lies in one liquid. */
export interface Spot {
  spot: string
  /** At its highest. */
  greenG: Grams
}

export interface StayedQuestion {
  rubbedAtMs: Milliseconds
  spots: readonly Spot[]
  puts: readonly PutOn[]
  losses: readonly Lost[]
  /** An excess cure takes up what nobody weighed. */
  excess: boolean
  /** Most of the mix lay on fat or rind, where it dissolves last. */
  mostlyOnFat: boolean
}

/** Why no figure can stand. */
export type NotShownWhy = 'excess' | 'on_fat' | 'not_seen' | 'early'
/** `leastPpm` of the worst spot, ppm as NaNO2; `lostShare` is the worst spot's. */
export type Stayed = { shown: true; leastPpm: Ppm; lostShare: Fraction } | { shown: false; why: NotShownWhy }

/**
 * The least nitrite that stayed, whatever liquid left, by the worst spot. Each loss takes at most
 * `f x 0.264 x grams / salt there at its lowest` of the salt and the nitrite on its spot, in order of time; f is 1.25
 * over 24 h after the last application with no salt to be seen, 3 otherwise (film model, house); brine holds at most
 * 26.4 % salt. Not shown where it was over within 6 h of the rub, where nobody saw how much, for an excess cure, and
 * where the mix lay mostly on fat or rind. Masses in grams, at least one spot. What went in stays what went in: this
 * figure picks the cooling rule, and judges no limit.
 */
export function leastStayed(question: StayedQuestion): Stayed {
  if (question.losses.length > 0) {
    const why = whyNot(question)
    if (why) return { shown: false, why }
  }
  const puts = groupBy(question.puts, put => put.spot)
  const losses = groupBy(question.losses, loss => loss.spot)
  const worst = question.spots
    .map(({ spot, greenG }) => {
      const { nitriteG, lostShare } = walkSpot(puts.get(spot) ?? [], losses.get(spot) ?? [])
      return { leastPpm: (PPM_PER_UNIT * nitriteG) / greenG, lostShare }
    })
    .reduce((a, b) => (b.leastPpm < a.leastPpm ? b : a))
  return { shown: true, ...worst }
}

function whyNot({ losses, rubbedAtMs, excess, mostlyOnFat }: StayedQuestion): NotShownWhy | null {
  if (excess) return 'excess'
  if (mostlyOnFat) return 'on_fat'
  if (losses.some(loss => loss.highG === null)) return 'not_seen'
  return losses.some(loss => loss.atMs - rubbedAtMs <= DRAINED_EARLY_MS) ? 'early' : null
}

/** Through everything that went on and came off a spot, in order of time. */
function walkSpot(puts: readonly PutOn[], losses: readonly Lost[]): { nitriteG: Grams; lostShare: Fraction } {
  let [saltG, nitriteG, lastPutMs] = [0, 0, Number.NEGATIVE_INFINITY]
  const put = (one: PutOn) => {
    saltG += one.saltLowG
    nitriteG += one.nitriteLowG
    lastPutMs = one.atMs
  }
  const lose = ({ atMs, highG, saltLies }: Lost) => {
    const settled = !saltLies && atMs - lastPutMs > DRAIN_SETTLED_MS
    const factor = settled ? LIQUID_LOSS.settled : LIQUID_LOSS.early
    const share = saltG > 0 ? Math.min(1, (factor * BRINE_FULL_SHARE * (highG ?? 0)) / saltG) : 1
    saltG *= 1 - share
    nitriteG *= 1 - share
  }
  const moments = [
    ...puts.map(one => ({ atMs: one.atMs, rank: 0, run: () => put(one) })),
    ...losses.map(one => ({ atMs: one.atMs, rank: 1, run: () => lose(one) })),
  ].toSorted((a, b) => a.atMs - b.atMs || a.rank - b.rank)
  for (const { run } of moments) run()
  const putG = puts.reduce((sum, one) => sum + one.nitriteLowG, 0)
  return { nitriteG, lostShare: putG > 0 ? 1 - nitriteG / putG : 0 }
}
