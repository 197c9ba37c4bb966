import { sumOf } from '../lists/sum-of'
import { BRINE_FULL_SHARE } from '../cure/formulate'
import { DRAINED_EARLY_MS, DRAIN_SETTLED_MS, LIQUID_LOSS } from '../rules/house'
import { PPM_PER_UNIT, type Fraction, type Grams, type Millimetres, type Milliseconds, type Ppm } from '../units/quantities'
import { lyingLoss } from './lying-loss'

/** Salt and nitrite that went onto a piece, at their lowest. */
export interface PutOn {
  atMs: Milliseconds
  saltLowG: Grams
  nitriteLowG: Grams
}
/** A piece and all that went on it. */
export interface PieceCured {
  pieceId: number
  greenG: Grams
  puts: readonly PutOn[]
}
/** Liquid that left for good, and the pieces that lay in it: a bag's, a tub's, a whole rack's. */
export interface Lost {
  atMs: Milliseconds
  pieces: readonly number[]
  /** The most that it was; null: nobody saw how much. */
  highG: Grams | null
  /** Salt was to be seen lying there. */
  saltLies: boolean
  /** Salt that had not dissolved went along. */
  tookSalt: boolean
  /** True when the liquid lay with the meat until it was poured off or leaked: in a bag, or a tub that holds it. */
  lay: boolean
}

export interface StayedQuestion {
  rubbedAtMs: Milliseconds
  /** Pieces of the lot, at least one. */
  pieces: readonly PieceCured[]
  losses: readonly Lost[]
  /** Most of the mix lay on fat or rind, where it dissolves last. */
  mostlyOnFat: boolean
  /** The thickness as measured. */
  thicknessMm: Millimetres
}

/** Why no figure can stand. */
export type NotShownWhy = 'on_fat' | 'not_seen' | 'early' | 'took_salt'
export interface PieceStayed {
  pieceId: number
  /** Null: not shown. */
  leastPpm: Ppm | null
}
/** `leastPpm` and `lostShare` are the worst piece's; both null as soon as one piece's is not shown, and `why`. */
export interface Stayed<Why extends string = NotShownWhy> {
  leastPpm: Ppm | null
  lostShare: Fraction | null
  why: Why | null
  pieces: PieceStayed[]
}

/**
 * The least nitrite that stayed with each piece, whatever liquid left, ppm as NaNO2. Each loss takes at most `f x
 * 0.26395 x grams / salt on the pieces that lay in it, at its lowest` of their salt and nitrite, in order of time; f is
 * 1.25 over 24 h after the last application with no salt to be seen, 3 otherwise (film model, house); brine holds at
 * most 26.4 % salt. What lay with the meat until it was poured off takes no more than `lyingLoss`: the lower counts.
 * Not shown for pieces that lost liquid within 6 h of the rub, or so much as nobody saw, or salt with it, and where the
 * mix lay mostly on fat or rind. Masses in grams. What went in stays what went in: this figure picks the cooling rule,
 * and judges no limit.
 */
export function leastStayed(question: StayedQuestion): Stayed {
  const walked = new Map<number, OnPiece>(
    question.pieces.map(({ pieceId, greenG }) => [pieceId, { greenG, saltG: 0, nitriteG: 0, lastPutMs: -Infinity }]),
  )
  const hidden = new Map<number, NotShownWhy>()
  for (const loss of question.losses) {
    const why = whyNot(question, loss)
    if (why) loss.pieces.forEach(id => hidden.set(id, hidden.get(id) ?? why))
  }
  for (const run of momentsOf(question, walked)) run()
  const pieces = question.pieces.map(({ pieceId, greenG, puts }) => {
    const { nitriteG } = walked.get(pieceId)!
    const putG = sumOf(puts, put => put.nitriteLowG)
    return { pieceId, leastPpm: (PPM_PER_UNIT * nitriteG) / greenG, lostShare: putG > 0 ? 1 - nitriteG / putG : 0 }
  })
  const worst = pieces.reduce((a, b) => (b.leastPpm < a.leastPpm ? b : a))
  const why = pieces.map(piece => hidden.get(piece.pieceId)).find(one => one !== undefined) ?? null
  return {
    leastPpm: why ? null : worst.leastPpm,
    lostShare: why ? null : worst.lostShare,
    why,
    pieces: pieces.map(({ pieceId, leastPpm }) => ({ pieceId, leastPpm: hidden.has(pieceId) ? null : leastPpm })),
  }
}

function whyNot({ rubbedAtMs, mostlyOnFat }: StayedQuestion, loss: Lost): NotShownWhy | null {
  if (mostlyOnFat) return 'on_fat'
  if (loss.tookSalt) return 'took_salt'
  if (loss.atMs - rubbedAtMs <= DRAINED_EARLY_MS) return 'early'
  return loss.highG === null ? 'not_seen' : null
}

interface OnPiece {
  greenG: Grams
  saltG: Grams
  nitriteG: Grams
  lastPutMs: Milliseconds
}

/** Everything that went on and came off, in order of time; what went on at an instant before what came off at it. */
function momentsOf({ pieces, losses, thicknessMm }: StayedQuestion, walked: ReadonlyMap<number, OnPiece>): (() => void)[] {
  const put = (on: OnPiece, one: PutOn) => {
    on.saltG += one.saltLowG
    on.nitriteG += one.nitriteLowG
    on.lastPutMs = one.atMs
  }
  const lose = ({ atMs, pieces: ids, highG, saltLies, lay }: Lost) => {
    const lying = ids.flatMap(id => walked.get(id) ?? [])
    const saltG = sumOf(lying, on => on.saltG)
    const settled = !saltLies && lying.every(on => atMs - on.lastPutMs > DRAIN_SETTLED_MS)
    const factor = settled ? LIQUID_LOSS.settled : LIQUID_LOSS.early
    const bySalt = saltG > 0 ? Math.min(1, (factor * BRINE_FULL_SHARE * (highG ?? 0)) / saltG) : 1
    const sinceMs = atMs - Math.max(...lying.map(on => on.lastPutMs))
    const greenG = sumOf(lying, on => on.greenG)
    const asLay = lay ? lyingLoss({ liquidG: highG ?? Infinity, greenG, thicknessMm, sinceMs, coldestC: null }) : 1
    // Both hold; the lower counts.
    const share = Math.min(bySalt, Number.isNaN(asLay) ? 1 : asLay)
    for (const on of lying) {
      on.saltG *= 1 - share
      on.nitriteG *= 1 - share
    }
  }
  return [
    ...pieces.flatMap(({ pieceId, puts }) =>
      puts.map(one => ({ atMs: one.atMs, rank: 0, run: () => put(walked.get(pieceId)!, one) })),
    ),
    ...losses.map(one => ({ atMs: one.atMs, rank: 1, run: () => lose(one) })),
  ]
    .toSorted((a, b) => a.atMs - b.atMs || a.rank - b.rank)
    .map(({ run }) => run)
}
