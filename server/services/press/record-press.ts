import { changesStand } from '#core/life/meaning'
import { isThat, type StepKind } from '#core/life/kinds/all-kinds'
import { pieceTree } from '#core/life/parts'
import { heldPieces, stopsLot } from '#core/lots/stops-lot'
import type { LotNow, PressAnswer } from '#shared/contracts/press-answer'
import type { PressInput } from '#shared/steps/press'
import { reasonsOf } from '../book/reasons-of'
import { recordEvent } from '../book/record-event'
import type { Answer, WriteContext } from '../context'
import { judgeHeated } from '../judging/judge-heated'
import { judgePlaces } from '../judging/judge-places'
import { rejudge } from '../judging/rejudge'
import { despiteOf } from '../plans/against-plan'
import { lotNow } from '../steps/lot-now'
import { brief } from '../views/lot-summaries'
import { findPress, type PressFound } from './find-press'
import { layLot, type Lived } from './lay-lot'
import { hangAll, holdForHang, holdForLook } from './press-holds'
import { codesOf, namesOf } from './put-on'

const toldNitrite = ({ lot, judgement }: Lived) =>
  judgement?.lot
    ? [{ lot: lot.code, ppm: judgement.lot.ppm, lowPpm: judgement.lot.lowPpm, status: judgement.status, meaning: judgement.meaning }]
    : []
const toldStayed = ({ lot, stayed }: Lived) =>
  stayed ? [{ lot: lot.code, leastPpm: stayed.leastPpm, why: stayed.why }] : []

/** One record of all that a press laid down. */
function tell(ctx: WriteContext, input: PressInput, { atMs, places, puts, plan, moves }: PressFound, lives: readonly Lived[]): void {
  const steps = lives.flatMap(lived => lived.told)
  recordEvent(ctx, {
    kind: 'step',
    subjects: [...lives.map(({ lot }) => lot.code), ...(puts ? codesOf(puts) : [])],
    typed: input,
    computed: {
      happenedMs: atMs,
      lateMs: ctx.nowMs - atMs,
      steps,
      places,
      ...(moves ? { stayed: lives.flatMap(toldStayed) } : {}),
      ...(puts ? { nitrite: lives.flatMap(toldNitrite), names: namesOf(puts) } : {}),
    },
    ...reasonsOf(input.lateReason, despiteOf(plan.against, input.despite)),
    steps: steps.map(step => step.id),
  })
}

/** What follows from a press: holds for what was told, and verdicts that rested on how it stood before. */
async function follow(ctx: WriteContext, input: PressInput, { moves }: PressFound, lives: readonly Lived[]): Promise<void> {
  for (const { lot, doubts } of lives) for (const { why, pieces } of doubts) await holdForHang(ctx, lot, why, pieces)
  for (const { lot, laid, pieces } of lives) await holdForLook(ctx, lot, input, pieces, hangAll(laid.life, pieces))
  // What was still to go on counted as planned; now it does not go on any more.
  for (const { lot, laid } of lives)
    if (lot.firstShare !== null && lot.cureEndedAtMs === null && laid.life.cureEndedAtMs !== null) await rejudge(ctx, lot.id)
  // Told late, it may say that what was smoked since did not keep what it cooled by.
  if (moves) for (const { lot } of lives) await judgeHeated(ctx, lot.id)
  // What lay where, and in which stage, is not as it was.
  if (input.steps.some(step => changesStand(step.kind))) await judgePlaces(ctx, lives.map(({ lot }) => lot))
}

/**
 * One press of one to four steps, over one or more lots: all of it is recorded, as one record, or none. Each step is
 * held against everything that stands in its lot at its hour; the way in for whatever is told of a lot after its rub.
 */
export async function recordPress(ctx: WriteContext, input: PressInput): Promise<Answer<PressAnswer>> {
  const found = await findPress(ctx, input)
  if (!found.ok) return found
  const lives: Lived[] = []
  for (const lot of found.value.lots) {
    const lived = await layLot(ctx, input, found.value, lot)
    if (!lived.ok) return lived
    lives.push(lived.value)
  }
  // What cannot have been is said first; a reason would not help it.
  if (found.value.plan.refused) return found.value.plan.refused
  tell(ctx, input, found.value, lives)
  await follow(ctx, input, found.value, lives)
  return await answerOf(ctx, input, found.value, lives)
}

/** Pieces may be held after it. */
const mayHold = (kind: StepKind): boolean => isThat(kind, 'mayHold') || isThat(kind, 'movesRetained') || changesStand(kind)

const holdsOf = ({ tables }: WriteContext, lives: readonly Lived[]) =>
  tables.holds.pick(['lotId', 'reason', 'disposition', 'pieceIds'], { lotId: lives.map(({ lot }) => lot.id) })

/** The lots as they are now, for whoever pressed. */
async function answerOf(
  ctx: WriteContext,
  { steps }: PressInput,
  { initials }: PressFound,
  lives: readonly Lived[],
): Promise<Answer<PressAnswer>> {
  const holds = steps.some(step => mayHold(step.kind)) ? await holdsOf(ctx, lives) : null
  return { ok: true, value: { steps: lives.flatMap(lived => lived.told), lots: lives.map(lived => nowOf(lived, initials, holds)) } }
}

/** A lot as this press leaves it. `holds`: null where it may have changed none. */
function nowOf(
  { lot, laid, greens, stayed, judgement }: Lived,
  initials: ReadonlyMap<number, string>,
  holds: Awaited<ReturnType<typeof holdsOf>> | null,
): LotNow {
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
