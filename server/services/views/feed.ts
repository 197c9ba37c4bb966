import { atKey } from '#core/lists/at-key'
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator'
import { groupBy } from '#core/lists/group-by'
import { pieceLabel, pieceTree } from '#core/life/parts'
import { wordList } from '#core/lists/word-list'
import { comingOf } from '#core/plan/coming'
import type { Coming } from '#core/plan/coming-thing'
import type { DueLot } from '#core/plan/due-lot'
import type { Notation } from '#core/units/format'
import { MS_PER_HOUR, MS_PER_MINUTE, MS_PER_SECOND, type Milliseconds } from '#core/units/quantities'
import { dueWords } from '#shared/messages/due'
import { piecesWords } from '#shared/messages/pieces'
import type { Tables } from '../../db/database'
import { isLeaf } from '../../db/tables/which-pieces'
import { doneSteps, SHOWN_KINDS } from '../steps/done-steps'
import { greensOf, ofParts } from '../steps/of-parts'
import { lastFeelOf, turnsOf } from '../steps/lot-now'
import { theShop } from '../shop/shop-facts'
import { lotPlans } from '../plans/lot-plans'

const DAYS_AHEAD = 21
/** How long each entry takes on the calendar, up to the hour by which it should be done. */
const ENTRY_MS = 15 * MS_PER_MINUTE
/** How often a calendar should ask again. */
const AGAIN_MS = MS_PER_HOUR

interface Entry extends Coming {
  code: string
  numbers: string[]
  place: string | null
}

const LOT = [
  'code', 'rubbedAtMs', 'rubbedOn', 'zone', 'turnBy', 'turnEveryDays', 'readyFromDay', 'bestByDay', 'method', 'cureEndedAtMs',
] as const

/** What the plans of all open lots have coming. */
async function entriesOf(tables: Tables, nowMs: Milliseconds): Promise<Entry[]> {
  const lots = await tables.lots.pick([...LOT], { finishedAtMs: null }, { order: [['id', 'ASC']] })
  const lotId = lots.map(lot => lot.id)
  const [pieces, steps, plans, places] = await Promise.all([
    tables.pieces.pick([
      'lotId',
      'number',
      'part',
      'parentId',
      'greenG',
      'placeId',
      'outAtMs',
      'goneAtMs',
      'goneWhy',
    ], { lotId }, { order: [['number', 'ASC']] }),
    tables.steps.pick(
      ['lotId', 'kind', 'fromAtMs', 'toAtMs', 'byId', 'pieces', 'figures'],
      { lotId, kind: SHOWN_KINDS },
      { order: [['fromAtMs', 'ASC'], ['id', 'ASC']] },
    ),
    lotPlans(tables, lots),
    tables.places.pick(['name']),
  ])
  const nameOf = new Map(places.map(place => [place.id, place.name]))
  const of = { pieces: groupBy(pieces, piece => piece.lotId), steps: groupBy(steps, step => step.lotId) }
  return lots.flatMap((lot) => {
    const tree = pieceTree(of.pieces.get(lot.id) ?? [])
    const leaves = (of.pieces.get(lot.id) ?? []).filter(isLeaf)
    const mine = leaves.filter(piece => piece.goneAtMs === null)
    const done = ofParts(of.steps.get(lot.id) ?? [], tree, greensOf(of.pieces.get(lot.id) ?? []))
    const { plan, piecePlans } = atKey(plans, lot.id).of(tree)
    const asked: DueLot = {
      ...lot,
      plan: plan.plan,
      piecePlans: piecePlans.map(own => ({ pieces: own.pieces ?? [], plan: own.plan })),
      pieces: mine,
      turns: turnsOf(done.filter(step => step.kind === 'turn'), new Map(), leaves.length),
      did: doneSteps(done, leaves.length),
      lastFeel: lastFeelOf(done.filter(step => step.kind === 'look')),
    }
    return comingOf(asked, nowMs, DAYS_AHEAD).map((coming) => {
      const meant = coming.pieces === null ? mine : mine.filter(piece => coming.pieces!.includes(piece.id))
      const where = new Set(meant.flatMap(piece => (piece.placeId === null ? [] : (nameOf.get(piece.placeId) ?? []))))
      return {
        ...coming,
        code: lot.code,
        numbers: coming.pieces === null ? [] : meant.map(pieceLabel),
        place: where.size > 0 ? wordList([...where]) : null,
      }
    })
  })
}

/**
 * The shop's work of three weeks as an iCalendar (RFC 5545): what, which pieces, where, by when; no figure of the cure and
 * no customer. An entry is named by its lot, item and slot, so that it stays the same one. `host`: for the names.
 */
export async function calendarFeed(tables: Tables, notation: Notation, nowMs: Milliseconds, host: string): Promise<string> {
  const [shop, entries] = await Promise.all([theShop(tables), entriesOf(tables, nowMs)])
  const calendar = ical({
    prodId: { company: 'Veldmoor', product: 'Curing calendar', language: 'EN' },
    name: `${shop.name}, to do`,
    method: ICalCalendarMethod.PUBLISH,
    ttl: AGAIN_MS / MS_PER_SECOND,
  })
  for (const { code, key, atMs, numbers, place, ...due } of entries) {
    const pieces = numbers.length > 0 ? `, ${piecesWords(numbers)}` : ''
    calendar.createEvent({
      id: `${code}-${key}@${host}`,
      start: new Date(atMs - ENTRY_MS),
      end: new Date(atMs),
      stamp: new Date(nowMs),
      summary: `${code}${pieces}: ${dueWords(due, notation)}`,
      ...(place ? { location: place } : {}),
      alarms: [{ type: ICalAlarmType.display, trigger: 0 }],
    })
  }
  return calendar.toString()
}
