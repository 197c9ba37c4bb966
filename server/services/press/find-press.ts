import { localDay } from '#core/calendar/local-day'
import { isThat } from '#core/life/kinds/all-kinds'
import { groupBy } from '#core/lists/group-by'
import type { Milliseconds } from '#core/units/quantities'
import type { PressInput } from '#shared/steps/press'
import { PIECE_STATE } from '../../db/tables/piece-state'
import { refuse, type Refusal, type WriteContext } from '../context'
import { knownFile } from '../files/keep-file'
import { scaleOf } from '../instruments/read-with'
import { lockRows } from '../lock-rows'
import { againstPlan, type AgainstByLot } from '../plans/against-plan'
import { standingSteps } from '../steps/standing-steps'
import { whenOf } from '../when-told'
import { findPuts, hasPuts } from './put-on'
import { spanOf } from './span-of'

/** What a press reads of a lot. */
const LOT_PRESSED = [
  'code', 'method', 'zone', 'saltOnly', 'meatReadabilityG', 'cureEndedAtMs', 'drainedAtMs', 'firstShare',
  'contradictions',
] as const

/** Lots named in a press, locked, always in the same order: two presses wait for each other. */
async function lotsOf(ctx: WriteContext, { lots: named }: PressInput) {
  const lots = await ctx.tables.lots.pick(
    [...LOT_PRESSED],
    { code: named.map(lot => lot.code) },
    { order: [['id', 'ASC']], lock: true },
  )
  const known = new Set(lots.map(lot => lot.code))
  const missing = named.findIndex(lot => !known.has(lot.code))
  return missing < 0
    ? { ok: true as const, value: lots }
    : refuse('no_such_lot', { code: named[missing]!.code }, ['lots', missing, 'code'])
}

/** The deliveries that pieces of a press are of. */
async function lockMeatOf({ tables }: WriteContext, { lots }: PressInput): Promise<void> {
  const pieces = await tables.pieces.pick(['meatLotId'], { id: lots.flatMap(lot => lot.pieces ?? []) })
  await lockRows(tables, { meatLots: pieces.map(piece => piece.meatLotId) })
}

/** Names of the places that a press moves to, locked: nobody closes one, or begins a heat in it, meanwhile. */
async function placesOf(ctx: WriteContext, { steps }: PressInput) {
  const ids = steps.flatMap((step, i) => ('placeId' in step && step.placeId !== null ? [{ id: step.placeId, i }] : []))
  const rows = await ctx.tables.places.find(
    { id: ids.map(one => one.id), inUse: true },
    { order: [['id', 'ASC']], lock: true },
  )
  const names = new Map(rows.map(row => [row.id, row.name]))
  const unknown = ids.find(one => !names.has(one.id))
  return unknown
    ? refuse('no_such_place', {}, ['steps', unknown.i, 'placeId'])
    : { ok: true as const, value: Object.fromEntries(names) }
}

/** The scale of each weighing; none for other steps, and where none was named. */
async function scalesOf({ tables }: WriteContext, { steps }: PressInput) {
  const scales: Awaited<ReturnType<typeof scaleOf>>[] = []
  for (const [i, step] of steps.entries()) {
    const scaleId = 'scaleId' in step ? step.scaleId : null
    const scale = await scaleOf(tables, scaleId)
    if (scaleId !== null && !scale) return refuse('no_such_scale', {}, ['steps', i, 'scaleId'])
    scales.push(scale)
  }
  return { ok: true as const, value: scales.map(scale => scale ?? null) }
}

/** Photos are sent ahead, and must be there. */
async function refusePhotos({ tables }: WriteContext, { steps }: PressInput): Promise<Refusal | null> {
  for (const [i, step] of steps.entries()) {
    if (step.kind !== 'look' || step.photoId === null) continue
    if (!(await knownFile(tables, step.photoId))) return refuse('no_such_file', {}, ['steps', i, 'photoId'])
  }
  return null
}

/** Out before the days of its plan: asked, for each lot of the press. */
async function outAgainstPlan(
  ctx: WriteContext,
  { steps, lots, despite }: PressInput,
  found: readonly { id: number; code: string }[],
  atMs: Milliseconds,
): Promise<{ refused: Refusal | null; against: AgainstByLot }> {
  if (!steps.some(step => step.kind === 'out')) return { refused: null, against: new Map() }
  const asked = await againstPlan(
    ctx,
    found.map(({ id, code }) => ({ id, pieces: lots.find(lot => lot.code === code)!.pieces })),
    { deed: 'out', atMs, despite, path: ['lots', 0, 'pieces'] },
  )
  return asked.refused ? { refused: asked.refused, against: new Map() } : asked
}

/**
 * All that a press needs to know before its first step is laid down: its lots and places, locked in order, the steps that
 * stand, the pieces and the mix, the scales, and what goes on. Whatever it names that is not there refuses it.
 */
export async function findPress(ctx: WriteContext, input: PressInput) {
  const when = whenOf(ctx, input)
  if (!when.ok) return when
  const places = await placesOf(ctx, input)
  if (!places.ok) return places
  const noFile = await refusePhotos(ctx, input)
  if (noFile) return noFile
  // What comes off a cut, and its parts, belong to the meat that the piece was.
  if (input.steps.some(step => step.kind === 'cut')) await lockMeatOf(ctx, input)
  const lots = await lotsOf(ctx, input)
  if (!lots.ok) return lots
  const scales = await scalesOf(ctx, input)
  if (!scales.ok) return scales
  const puts = hasPuts(input) ? await findPuts(ctx, input, scales.value, localDay(when.value, lots.value[0]!.zone)) : null
  if (puts && !puts.ok) return puts
  const plan = await outAgainstPlan(ctx, input, lots.value, when.value)
  const lotId = lots.value.map(lot => lot.id)
  // Only what moves the least that is in the meat asks what went on.
  const moves = input.steps.some(step => isThat(step.kind, 'movesRetained'))
  const [standing, pieces, users, parts] = await Promise.all([
    standingSteps(ctx.tables, lotId),
    ctx.tables.pieces.pick(['lotId', 'number', 'part', 'parentId', 'greenG', ...PIECE_STATE], { lotId }, { order: [['number', 'ASC']] }),
    ctx.tables.users.pick(['initials']),
    moves ? ctx.tables.lotIngredients.pick(['lotId', 'role', 'weighedG', 'unweighed'], { lotId }) : [],
  ])
  return {
    ok: true as const,
    value: {
      atMs: when.value,
      /** When the first of its steps began: what lasted, began before. */
      beganMs: Math.min(...input.steps.map(step => spanOf(step, when.value).fromMs)),
      places: places.value,
      lots: lots.value,
      scales: scales.value,
      puts: puts?.value ?? null,
      plan,
      moves,
      standing,
      piecesOf: groupBy(pieces, piece => piece.lotId),
      partsOf: groupBy(parts, part => part.lotId),
      initials: new Map(users.map(user => [user.id, user.initials])),
    },
  }
}
export type PressFound = Extract<Awaited<ReturnType<typeof findPress>>, { value: unknown }>['value']
export type PressedLot = PressFound['lots'][number]
