import { groupBy } from '#core/lists/group-by'
import { lyingIn } from '#core/places/daily'
import { isBench } from '#core/places/place-kind'
import { placeVerdict } from '#core/places/place-verdict'
import { BENCH_CHECKS, FULL_DISK_BYTES, LOW_DISK_BYTES } from '#core/rules/house'
import { formatTemperature, type Notation } from '#core/units/format'
import { formatSpan } from '#core/units/format-span'
import type { Milliseconds } from '#core/units/quantities'
import type { InstrumentBrief, StoreConcern } from '#shared/contracts/cold-room'
import type { InstrumentMark } from '#shared/contracts/instruments'
import type { LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import { holdWords } from '#shared/messages/holds'
import { STATE_WORDS } from '#shared/messages/instruments'
import { piecesWords } from '#shared/messages/pieces'
import { lotTwines } from '~/logic/lot-twine'
import { numbersOf } from '~/logic/where-of'
import { momentWords } from '~/words/date-words'
import { freeWords } from '~/words/free-words'
import { missedWords } from './missed-words'

export interface Concern {
  tone: 'held' | 'act' | 'watch' | 'cold'
  mark: string
  words: string
  /** What it is about: a code to open, or a name. */
  code?: string
  name?: string
  to?: { path: string; words: string }
  instrument?: InstrumentMark | null
}
export interface ShopAsSeen {
  lots: readonly LotSummary[]
  places: readonly PlaceView[]
  instruments: readonly InstrumentBrief[]
  store: StoreConcern
  freeBytes: number | null
  nowMs: Milliseconds
}

/** Lots with something to decide, and why; `reasonsOf` picks the holds that are meant. */
const toDecide = (
  lots: readonly LotSummary[],
  reasonsOf: (lot: LotSummary) => LotSummary['openHolds'],
  as: Notation,
): { code: string; words: string }[] =>
  lots
    .filter(lot => reasonsOf(lot).length > 0)
    .map(lot => ({ code: lot.code, words: reasonsOf(lot).map(reason => holdWords(reason, as)).join('; ') }))

const heldLots = (lots: readonly LotSummary[], as: Notation): Concern[] =>
  toDecide(lots, lot => lot.openHolds, as).map(one => ({ tone: 'held', mark: 'held', ...one }))

/** A lot that nobody else would remember: its packs stand ready and do not go out. */
const reworked = (lots: readonly LotSummary[], as: Notation): Concern[] =>
  toDecide(lots, lot => lot.reworked, as).map(one => ({
    tone: 'watch',
    mark: 'rework',
    ...one,
    to: { path: `/lots/${one.code}`, words: 'Decide before it goes out' },
  }))

/** What was told of a lot cannot all be true: on its page stands what, and the press that mends it. */
const contradicting = (lots: readonly LotSummary[]): Concern[] =>
  lots
    .filter(lot => lot.contradictions > 0)
    .map(lot => ({
      tone: 'act',
      mark: 'contradicts',
      code: lot.code,
      words: 'what was told of it cannot all be true',
      to: { path: `/lots/${lot.code}`, words: 'See what, and void one' },
    }))

/** Photos are refused when the disk is full; it is said while there is still time. */
function disk(freeBytes: number | null): Concern[] {
  if (freeBytes === null || freeBytes >= LOW_DISK_BYTES) return []
  const isFull = freeBytes < FULL_DISK_BYTES
  const todo = isFull ? 'No photos are taken until there is more room.' : 'Make room before it is full.'
  return [{ tone: isFull ? 'act' : 'watch', mark: 'disk', words: `${freeWords(freeBytes)} left on the shop's disk. ${todo}` }]
}

function inStore({ clockBehindMs, heldMeat, returned, countsDue }: StoreConcern, as: Notation): Concern[] {
  const clock = (behindMs: Milliseconds): Concern => ({
    tone: 'act',
    mark: 'clock',
    words: `The computer's clock lies ${formatSpan(behindMs)} behind the last record. Set it right before you record.`,
  })
  return [
    ...heldMeat.map(({ code, reason }): Concern => ({
      tone: 'held',
      mark: 'held',
      code,
      words: holdWords(reason, as),
      to: { path: '/store', words: 'Decide in the Store' },
    })),
    ...returned.map(({ code, lot, reason }): Concern => ({
      tone: 'held',
      mark: 'came back',
      code,
      words: reason,
      to: { path: `/lots/${lot}`, words: `Decide on ${lot}` },
    })),
    ...(clockBehindMs === null ? [] : [clock(clockBehindMs)]),
    ...countsDue.map(({ code, name }): Concern => ({
      tone: 'watch',
      mark: 'count',
      code,
      words: `${name}: not counted for a month`,
    })),
  ]
}

const TROUBLE = new Set(['warm', 'too_warm', 'too_cold'])

const warmPlaces = ({ places, lots }: ShopAsSeen, as: Notation, zone: string): Concern[] =>
  places.flatMap((place): Concern[] => {
    const last = place.readings.findLast(reading => reading.tempC !== null)
    const occupied = lots.some(lot => lyingIn(place.id, lot.pieces).length > 0)
    const verdict = placeVerdict({ kind: place.kind, can: place.uses }, last?.tempC ?? null, occupied)
    if (!last || last.tempC === null || !TROUBLE.has(verdict)) return []
    return [
      {
        tone: verdict === 'too_cold' ? 'cold' : 'act',
        mark: verdict === 'too_cold' ? 'too cold' : 'warm',
        name: place.name,
        words: `${formatTemperature(last.tempC, as)} at ${momentWords(last.atMs, zone, as.dates)}`,
        instrument: last.instrument,
      },
    ]
  })

/** Out on a counter or a table for too long: said before it is held. */
const lyingOut = ({ places, lots, nowMs }: ShopAsSeen): Concern[] =>
  places
    .filter(place => isBench({ kind: place.kind, can: place.uses }))
    .flatMap(place =>
      lots
        .filter(lot => lyingIn(place.id, lot.pieces).some(piece => nowMs - (piece.sinceMs ?? nowMs) > BENCH_CHECKS.warnMs))
        .map((lot): Concern => ({ tone: 'act', mark: 'lies out', code: lot.code, words: `${place.name}: back into the cold` })),
    )

/** Twine by twine: pieces with a plan of their own miss turns of their own. */
const missedTurns = (lots: readonly LotSummary[], nowMs: Milliseconds): Concern[] =>
  lots
    .filter(lot => lot.cureEndedAtMs === null)
    .flatMap((lot): Concern[] => {
      const said = lotTwines(lot, nowMs).flatMap(({ knots, pieces }) => {
        const words = missedWords(knots, lot, nowMs)
        if (!words) return []
        return pieces.length < lot.pieces.length ? `${piecesWords(numbersOf(lot, pieces))}: ${words}` : words
      })
      return said.length > 0 ? [{ tone: 'watch', mark: 'missed', code: lot.code, words: said.join('; ') }] : []
    })

const unchecked = (instruments: readonly InstrumentBrief[]): Concern[] =>
  instruments
    .filter(one => one.state !== 'checked')
    .map(one => ({
      tone: one.state === 'failed' ? 'act' : 'watch',
      mark: STATE_WORDS[one.state],
      name: one.name,
      words: '',
      to: { path: '/office/instruments', words: 'Check it in the Office' },
    }))

/** Things of one kind, on one line with their count; opened, each for itself. */
export interface ConcernKind {
  tone: Concern['tone']
  mark: string
  concerns: Concern[]
}

/** All that is not right now, what holds meat first, then the gravest; things of one kind together. */
export function notRight(shop: ShopAsSeen, as: Notation, zone: string): ConcernKind[] {
  const found = [
    ...heldLots(shop.lots, as),
    ...inStore(shop.store, as),
    ...contradicting(shop.lots),
    ...reworked(shop.lots, as),
    ...disk(shop.freeBytes),
    ...warmPlaces(shop, as, zone),
    ...lyingOut(shop),
    ...missedTurns(shop.lots, shop.nowMs),
    ...unchecked(shop.instruments),
  ]
  return [...groupBy(found, one => one.mark)].map(([mark, concerns]) => ({ mark, tone: concerns[0]!.tone, concerns }))
}
