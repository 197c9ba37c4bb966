import { foldStanding } from '#core/life/fold-standing'
import { stopsLot } from '#core/lots/stops-lot'
import { piecesFor } from '#core/life/pieces-for'
import { groupBy } from '#core/lists/group-by'
import type { LotNow, PressAnswer } from '#shared/contracts/press-answer'
import type { PressInput } from '#shared/contracts/steps'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { judgePlaces } from '../places/judge-places'
import { laySteps, type Laid, type NewStep } from './lay-steps'
import { lotNow } from './lot-now'
import { refuseDrained, toldAlready, whenOf } from './press-checks'
import { newStep } from './press-figures'
import { standingSteps } from './standing-steps'

/** Lots named in a press, locked, always in the same order: two presses wait for each other. */
async function lotsOf(ctx: WriteContext, { lots: named }: PressInput) {
  const lots = await ctx.tables.lots.find(
    { code: named.map(lot => lot.code) },
    { order: [['id', 'ASC']], lock: true },
  )
  const known = new Set(lots.map(lot => lot.code))
  const missing = named.findIndex(lot => !known.has(lot.code))
  return missing < 0
    ? { ok: true as const, value: lots }
    : refuse('no_such_lot', { code: named[missing]!.code }, ['lots', missing, 'code'])
}

/** Names of the places that a press moves to. */
async function placesOf(ctx: WriteContext, { steps }: PressInput) {
  const ids = steps.flatMap((step, i) => (step.kind === 'move' ? [{ id: step.placeId, i }] : []))
  const rows = ids.length ? await ctx.tables.places.find({ id: ids.map(one => one.id), inUse: true }) : []
  const names = new Map(rows.map(row => [row.id, row.name]))
  const unknown = ids.find(one => !names.has(one.id))
  return unknown
    ? refuse('no_such_place', {}, ['steps', unknown.i, 'placeId'])
    : { ok: true as const, value: Object.fromEntries(names) }
}

/** Photos are sent ahead, and must be there. */
async function refusePhotos({ tables }: WriteContext, { steps }: PressInput): Promise<Refusal | null> {
  for (const [i, step] of steps.entries()) {
    if (step.kind !== 'look' || step.photoId === null) continue
    const [file] = await tables.files.pick([], { id: step.photoId })
    if (!file) return refuse('no_such_file', {}, ['steps', i, 'photoId'])
  }
  return null
}

/**
 * One press of one to four steps, over one or more lots: all of it is recorded, as one record, or none. Each step is
 * held against everything that stands in its lot at its hour; the way in for whatever is told of a lot after its rub.
 */
export async function recordPress(ctx: WriteContext, input: PressInput): Promise<Answer<PressAnswer>> {
  const when = whenOf(ctx, input)
  if (!when.ok) return when
  const places = await placesOf(ctx, input)
  if (!places.ok) return places
  const noFile = await refusePhotos(ctx, input)
  if (noFile) return noFile
  const found = await lotsOf(ctx, input)
  if (!found.ok) return found
  const lotId = found.value.map(lot => lot.id)
  const [standing, rows, syrups] = await Promise.all([
    standingSteps(ctx.tables, lotId),
    ctx.tables.pieces.pick(['lotId', 'number', 'greenG'], { lotId }, { order: [['number', 'ASC']] }),
    ctx.tables.lotIngredients.pick(['lotId'], { lotId, role: 'sugar' }),
  ])
  const piecesOf = groupBy(rows, piece => piece.lotId)
  const sweet = new Set(syrups.map(part => part.lotId))
  const told: PressAnswer['steps'] = []
  const lives: { lot: (typeof found.value)[number]; laid: Laid; pieces: number[] }[] = []
  for (const lot of found.value) {
    const i = input.lots.findIndex(named => named.code === lot.code)
    const mine = piecesOf.get(lot.id) ?? []
    const before = standing.get(lot.id) ?? []
    const wanted = input.lots[i]!.pieces ?? piecesFor(foldStanding(before).life, input.steps[0]!.kind, when.value)
    const pieces = mine.filter(piece => wanted.includes(piece.id))
    if (pieces.length < new Set(wanted).size) return refuse('no_such_piece', {}, ['lots', i, 'pieces'])
    const ids = pieces.map(piece => piece.id)
    const news: NewStep[] = []
    for (const step of input.steps) {
      const laid = newStep(step, { syrup: sweet.has(lot.id) })
      const same = input.again ? null : await toldAlready(ctx, lot, before, { kind: step.kind, pieces: ids, atMs: when.value })
      const refused = same ?? refuseDrained(lot, laid, pieces, step.kind === 'drain' && step.sure)
      if (refused) return { ...refused, path: ['lots', i, 'pieces'] }
      news.push({ ...laid, pieces: ids, fromMs: when.value, lateReason: input.lateReason } as NewStep)
    }
    const laid = await laySteps(ctx, lot, news)
    if (!laid.ok) return { ...laid, path: ['lots', i, 'pieces'] }
    lives.push({ lot, laid: laid.value, pieces: ids })
    const numbers = pieces.map(piece => piece.number)
    told.push(...input.steps.map(({ kind }, n) => ({ id: laid.value.ids[n]!, lot: lot.code, kind, pieces: numbers })))
  }
  recordEvent(ctx, {
    kind: 'step',
    subjects: found.value.map(lot => lot.code),
    typed: input,
    computed: { happenedMs: when.value, lateMs: ctx.nowMs - when.value, steps: told, places: places.value },
    ...(input.lateReason === null ? {} : { reason: input.lateReason }),
    steps: told.map(step => step.id),
  })
  for (const { lot, pieces } of lives) await holdForLook(ctx, lot, input, pieces)
  // What lay where, and in which stage, is not as it was.
  if (input.steps.some(step => step.kind === 'move' || step.kind === 'out')) await judgePlaces(ctx, found.value)
  return { ok: true, value: { steps: told, lots: await lotsNow(ctx, lives) } }
}

/** Meat that smells off waits for the owner. */
async function holdForLook(
  ctx: WriteContext,
  lot: { id: number; code: string },
  { steps }: PressInput,
  pieceIds: number[],
): Promise<void> {
  if (steps.some(step => step.kind === 'look' && step.smell === 'off'))
    await holdLot(ctx, lot, { reason: 'smell_off', pieceIds, again: true, figures: {} })
}

/** The lots as this press leaves them. */
async function lotsNow({ tables }: WriteContext, lives: readonly { lot: { id: number; code: string }; laid: Laid }[]) {
  const [users, holds] = await Promise.all([
    tables.users.pick(['initials']),
    tables.holds.pick(['lotId', 'reason', 'disposition', 'pieceIds'], { lotId: lives.map(({ lot }) => lot.id) }),
  ])
  const initials = new Map(users.map(user => [user.id, user.initials]))
  return lives.map(({ lot, laid }): LotNow => ({
    ...lotNow(lot.code, laid, initials),
    openHolds: holds
      .filter(hold => hold.lotId === lot.id && stopsLot(hold, laid.life.pieces.length))
      .map(hold => hold.reason),
  }))
}
