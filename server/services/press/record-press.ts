import { localDay } from '#core/calendar/local-day'
import { changesStand } from '#core/life/meaning'
import { foldStanding } from '#core/life/fold-standing'
import { heldPieces, stopsLot } from '#core/lots/stops-lot'
import { stacksOf } from '#core/turning/stack'
import type { LotLife } from '#core/life/fold'
import { pieceName, pieceTree } from '#core/life/parts'
import { piecesFor, piecesThen } from '#core/life/pieces-for'
import { groupBy } from '#core/lists/group-by'
import type { Judgement, StayedJudged } from '#shared/contracts/judgement'
import type { LotNow, PressAnswer } from '#shared/contracts/press-answer'
import { isThat, type StepKind } from '#core/life/kinds/all-kinds'
import type { Fraction, Grams, Milliseconds } from '#core/units/quantities'
import type { ComputedOf } from '#shared/contracts/records'
import { laidOf } from '#shared/steps/all-told'
import type { PressInput } from '#shared/steps/press'
import { PIECE_STATE } from '../../db/tables/piece-state'
import { reasonsOf } from '../book/reasons-of'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { lockRows } from '../lock-rows'
import { scaleOf } from '../instruments/read-with'
import { brief } from '../views/lot-summaries'
import { keepStayed, rejudge } from '../judging/rejudge'
import { judgePlaces } from '../judging/judge-places'
import { againstPlan, type Against, despiteOf, keptAgainst } from '../plans/against-plan'
import { judgeHeated } from '../judging/judge-heated'
import { cutUp, keepOffcuts } from './cut-up'
import { knownFile } from '../files/keep-file'
import { deedsOf } from './deeds'
import { hangAll, holdForHang, holdForLook } from './press-holds'
import { laySteps, type Laid, type NewStep } from '../steps/lay-steps'
import { lotNow } from '../steps/lot-now'
import { refuseDrained, refuseFry, refuseHeavier, refuseOrder, refuseWeighed, toldAlready } from './press-checks'
import { spanOf } from './span-of'
import { beginPuts, codesOf, findPuts, hasPuts, layPuts, namesOf } from './put-on'
import { greensOf } from '../steps/of-parts'
import { refuseHang } from './refuse-hang'
import { standingSteps } from '../steps/standing-steps'
import { whenOf } from '../when-told'

/** What a press reads of a lot. */
const LOT_PRESSED = [
  'code', 'method', 'zone', 'saltOnly', 'meatReadabilityG', 'cureEndedAtMs', 'drainedAtMs', 'firstShare',
  'contradictions',
] as const
/** Pieces may be held after it. */
const mayHold = (kind: StepKind): boolean => isThat(kind, 'mayHold') || isThat(kind, 'movesRetained') || changesStand(kind)

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

/** A lot of a press, its life after it, and the least that stayed where that may have changed. */
interface Lived {
  lot: { id: number; code: string; firstShare: Fraction | null; cureEndedAtMs: Milliseconds | null }
  laid: Laid
  greens: ReadonlyMap<number, Grams>
  pieces: number[]
  stayed: StayedJudged | null | undefined
  /** Where something was put on. */
  judgement?: Judgement | undefined
}
const toldNitrite = ({ lot, judgement }: Lived) =>
  judgement?.lot
    ? [{ lot: lot.code, ppm: judgement.lot.ppm, lowPpm: judgement.lot.lowPpm, status: judgement.status, meaning: judgement.meaning }]
    : []
const toldStayed = ({ lot, stayed }: Lived) =>
  stayed ? [{ lot: lot.code, leastPpm: stayed.leastPpm, why: stayed.why }] : []

/** Photos are sent ahead, and must be there. */
async function refusePhotos({ tables }: WriteContext, { steps }: PressInput): Promise<Refusal | null> {
  for (const [i, step] of steps.entries()) {
    if (step.kind !== 'look' || step.photoId === null) continue
    if (!(await knownFile(tables, step.photoId))) return refuse('no_such_file', {}, ['steps', i, 'photoId'])
  }
  return null
}

/** Out before the days of its plan: asked, for each lot of the press. */
const outAgainstPlan = async (
  ctx: WriteContext,
  { steps, lots, despite }: PressInput,
  found: readonly { id: number; code: string }[],
  atMs: Milliseconds,
) =>
  steps.some(step => step.kind === 'out')
    ? await againstPlan(
        ctx,
        found.map(({ id, code }) => ({ id, pieces: lots.find(lot => lot.code === code)!.pieces })),
        { deed: 'out', atMs, despite, path: ['lots', 0, 'pieces'] },
      )
    : { refused: null, against: new Map() }

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
  // What comes off a cut, and its parts, belong to the meat that the piece was.
  if (input.steps.some(step => step.kind === 'cut')) await lockMeatOf(ctx, input)
  const found = await lotsOf(ctx, input)
  if (!found.ok) return found
  const lotId = found.value.map(lot => lot.id)
  // Only these ask what went on.
  const moves = input.steps.some(step => isThat(step.kind, 'movesRetained'))
  const scales = await scalesOf(ctx, input)
  if (!scales.ok) return scales
  const puts = hasPuts(input) ? await findPuts(ctx, input, scales.value, localDay(when.value, found.value[0]!.zone)) : null
  if (puts && !puts.ok) return puts
  const asked = await outAgainstPlan(ctx, input, found.value, when.value)
  const against: Against = asked.refused ? new Map() : asked.against
  const [standing, rows, users, parts] = await Promise.all([
    standingSteps(ctx.tables, lotId),
    ctx.tables.pieces.pick(['lotId', 'number', 'part', 'parentId', 'greenG', ...PIECE_STATE], { lotId }, { order: [['number', 'ASC']] }),
    ctx.tables.users.pick(['initials']),
    moves ? ctx.tables.lotIngredients.pick(['lotId', 'role', 'weighedG', 'unweighed'], { lotId }) : [],
  ])
  const piecesOf = groupBy(rows, piece => piece.lotId)
  const partsOf = groupBy(parts, part => part.lotId)
  const beganMs = Math.min(...input.steps.map(step => spanOf(step, when.value).fromMs))
  const told: ComputedOf<'step'>['steps'][number][] = []
  const lives: Lived[] = []
  const doubts: { lot: Lived['lot']; why: string; pieces: number[] }[] = []
  for (const lot of found.value) {
    const i = input.lots.findIndex(named => named.code === lot.code)
    const mine = piecesOf.get(lot.id) ?? []
    const before = standing.get(lot.id) ?? []
    const named = input.lots[i]!.pieces
    const isCut = mine.some(piece => piece.parentId !== null)
    const then = named === null || isCut ? foldStanding(before).life : null
    const wanted = named === null ? piecesFor(then!, input.steps[0]!.kind, when.value) : isCut ? piecesThen(then!, named, beganMs) : named
    const pieces = mine.filter(piece => wanted.includes(piece.id))
    if (pieces.length < new Set(wanted).size) return refuse('no_such_piece', {}, ['lots', i, 'pieces'])
    const ids = pieces.map(piece => piece.id)
    const mix = partsOf.get(lot.id) ?? []
    const putting = puts ? await beginPuts(ctx, lot.id, puts.value, ids) : null
    const news: NewStep[] = []
    let into: string[] | null = null
    const deeds = deedsOf(input, ids, some => (isCut ? piecesThen(then!, some, beganMs) : some))
    for (const { n, step, pieces: some } of deeds) {
      const those = some === ids ? pieces : mine.filter(piece => some.includes(piece.id))
      if (those.length < some.length) return refuse('no_such_piece', {}, ['steps', n, 'groups'])
      const cut = step.kind === 'cut' ? await cutUp(ctx, lot, pieces[0]!, mine, step) : null
      if (cut && !cut.ok) return cut
      if (cut) into = cut.value.labels
      const laid = laidOf(step, {
        cut: cut?.value.figures,
        syrup: mix.some(part => part.role === 'sugar'),
        readabilityG: scales.value[n]?.readability ?? (putting?.lot.mixReadabilityG ?? lot.meatReadabilityG),
        application: putting?.applications[n],
      })
      if (laid.kind === 'out') Object.assign(laid.figures, keptAgainst(against, lot.id))
      const span = spanOf(step, when.value)
      const wanting = { kind: step.kind, pieces: some, atMs: span.fromMs, figures: laid.figures, put: puts?.value[n] }
      const hanging = await refuseHang(ctx, lot, step, { pieces: those, all: mine, standing: before })
      if (hanging.doubt) doubts.push({ lot, why: hanging.doubt.code, pieces: some })
      const same = input.again ? null : await toldAlready(ctx, lot, before, wanting)
      const refused
        = same
          ?? refuseOrder(step, ids, n)
          ?? refuseFry(lot, step, [...before.filter(one => one.fromMs <= span.fromMs), ...news], ids)
          ?? refuseDrained(lot, laid, those, step.kind === 'drain' && step.sure)
          ?? refuseWeighed(lot, laid, those, mix)
          ?? refuseHeavier(lot, step, those, before, span.fromMs)
          ?? hanging.refused
      if (refused) return { path: ['lots', i, 'pieces'], ...refused }
      news.push({ ...laid, pieces: some, ...span, lateReason: input.lateReason } as NewStep)
    }
    // What is cut has parts that were not there when these were read.
    const known = news.some(step => step.kind === 'cut') ? {} : { pieces: mine }
    const laid = await laySteps(ctx, { ...lot, ...known }, news, before)
    if (!laid.ok) return { ...laid, path: ['lots', i, 'pieces'] }
    for (const [n, step] of input.steps.entries())
      if (step.kind === 'cut') await keepOffcuts(ctx, lot.id, laid.value.ids[n]!, step, when.value)
    const judged = putting && (await layPuts(ctx, putting, laid.value.ids, when.value))
    if (judged && !judged.ok) return judged
    const stayed = moves ? await keepStayed(ctx, lot.id, laid.value.steps) : undefined
    lives.push({ lot, laid: laid.value, greens: greensOf(mine), pieces: ids, stayed, judgement: judged?.value })
    const instead = named?.some(id => !wanted.includes(id)) ? mine.filter(piece => named.includes(piece.id)).map(pieceName) : null
    const stacks = stackNumbers(laid.value.life, mine)
    told.push(
      ...deeds.map(({ step: { kind }, pieces: some }, nth) => ({
        id: laid.value.ids[nth]!,
        lot: lot.code,
        kind,
        pieces: mine.filter(piece => some.includes(piece.id)).map(pieceName),
        ...(instead ? { instead } : {}),
        ...(into ? { into } : {}),
        ...(stacks.length > 0 && (kind === 'turn' || kind === 'move') ? { stacks } : {}),
      })),
    )
  }
  // What cannot have been is said first; a reason would not help it.
  if (asked.refused) return asked.refused
  recordEvent(ctx, {
    kind: 'step',
    subjects: [...found.value.map(lot => lot.code), ...(puts ? codesOf(puts.value) : [])],
    typed: input,
    computed: {
      happenedMs: when.value,
      lateMs: ctx.nowMs - when.value,
      steps: told,
      places: places.value,
      ...(moves ? { stayed: lives.flatMap(toldStayed) } : {}),
      ...(puts ? { nitrite: lives.flatMap(toldNitrite), names: namesOf(puts.value) } : {}),
    },
    ...reasonsOf(input.lateReason, despiteOf(against, input.despite)),
    steps: told.map(step => step.id),
  })
  for (const { lot, why, pieces } of doubts) await holdForHang(ctx, lot, why, pieces)
  for (const { lot, laid, pieces } of lives) await holdForLook(ctx, lot, input, pieces, hangAll(laid.life, pieces))
  // What was still to go on counted as planned; now it does not go on any more.
  for (const { lot, laid } of lives)
    if (lot.firstShare !== null && lot.cureEndedAtMs === null && laid.life.cureEndedAtMs !== null) await rejudge(ctx, lot.id)
  // Told late, it may say that what was smoked since did not keep what it cooled by.
  if (moves) for (const { lot } of lives) await judgeHeated(ctx, lot.id)
  // What lay where, and in which stage, is not as it was.
  if (input.steps.some(step => changesStand(step.kind))) await judgePlaces(ctx, found.value)
  const initials = new Map(users.map(user => [user.id, user.initials]))
  const holds = input.steps.some(step => mayHold(step.kind)) ? await holdsOf(ctx, lotId) : null
  return { ok: true, value: { steps: told, lots: lives.map(lived => nowOf(lived, initials, holds)) } }
}

/** How a lot's stacks lie, by numbers from the bottom up. */
const stackNumbers = (
  { pieces }: LotLife,
  rows: readonly { id: number; number: number; part: string | null }[],
): (number | string)[][] => {
  const numberOf = new Map(rows.map(row => [row.id, pieceName(row)]))
  return stacksOf(pieces).map(stack => stack.pieces.map(piece => numberOf.get(piece.pieceId)!))
}

const holdsOf = ({ tables }: WriteContext, lotId: readonly number[]) =>
  tables.holds.pick(['lotId', 'reason', 'disposition', 'pieceIds'], { lotId })

/** A lot as this press leaves it. `holds`: null where it may have changed none. */
const nowOf = (
  { lot, laid, greens, stayed, judgement }: Lived,
  initials: ReadonlyMap<number, string>,
  holds: Awaited<ReturnType<typeof holdsOf>> | null,
): LotNow => {
  const tree = pieceTree(laid.life.pieces.map(({ pieceId: id, parentId }) => ({ id, parentId })))
  const mine = holds?.filter(hold => hold.lotId === lot.id)
  return {
    ...lotNow(lot.code, laid, initials, greens),
    ...(stayed === undefined ? {} : { leastPpm: stayed?.leastPpm ?? null }),
    ...(judgement && { judgement: { ...brief(judgement), leastPpm: stayed?.leastPpm ?? judgement.stayed?.leastPpm ?? null } }),
    ...(mine && {
      openHolds: mine.filter(hold => stopsLot(hold, tree)).map(hold => hold.reason),
      heldPieces: heldPieces(mine, tree),
    }),
  }
}
