import { atKey } from '#core/lists/at-key'
import { foldStanding } from '#core/life/fold-standing'
import type { LotLife } from '#core/life/fold'
import { pieceName } from '#core/life/parts'
import { piecesFor, piecesThen } from '#core/life/pieces-for'
import { stacksOf } from '#core/turning/stack'
import type { Grams } from '#core/units/quantities'
import type { Judgement, StayedJudged } from '#shared/contracts/judgement'
import type { ComputedOf } from '#shared/contracts/records'
import type { PressInput } from '#shared/steps/press'
import { laidOf } from '#shared/steps/all-told'
import { refuse, type Answer, type WriteContext } from '../context'
import { keepStayed } from '../judging/rejudge'
import { keptAgainst } from '../plans/against-plan'
import { laySteps, type Laid, type NewStep } from '../steps/lay-steps'
import { greensOf } from '../steps/of-parts'
import { cutUp, keepOffcuts } from './cut-up'
import { deedsOf, type Deed } from './deeds'
import type { PressedLot, PressFound } from './find-press'
import { refuseDrained, refuseFry, refuseHeavier, refuseOrder, refuseWeighed, toldAlready } from './press-checks'
import { beginPuts, layPuts, type Putting } from './put-on'
import { refuseHang } from './refuse-hang'
import { spanOf } from './span-of'

/** A lot as a press leaves it. */
export interface Lived {
  lot: PressedLot
  laid: Laid
  greens: ReadonlyMap<number, Grams>
  /** Ids of the pieces that were meant. */
  pieces: number[]
  /** The least that is in the meat, where that may have changed; null: it cannot be shown. */
  stayed: StayedJudged | null | undefined
  /** Where something was put on. */
  judgement?: Judgement | undefined
  /** Why it should not hang there, though it does. */
  doubts: { why: string; pieces: number[] }[]
  /** The lot's steps, as the record tells them. */
  told: ComputedOf<'step'>['steps'][number][]
}

/** A lot of a press, and what is known of it. */
function ofLot(input: PressInput, found: PressFound, lot: PressedLot) {
  const i = input.lots.findIndex(named => named.code === lot.code)
  const mine = found.piecesOf.get(lot.id) ?? []
  const before = found.standing.get(lot.id) ?? []
  const named = input.lots[i]!.pieces
  const isCut = mine.some(piece => piece.parentId !== null)
  const life = named === null || isCut ? foldStanding(before).life : null
  /** Pieces as they were then: of one that was cut up since, the whole it was. */
  const then = (some: number[]) => (isCut ? piecesThen(life!, some, found.beganMs) : some)
  const wanted = named === null ? piecesFor(life!, input.steps[0]!.kind, found.atMs) : then(named)
  const path = ['lots', i, 'pieces'] as (string | number)[]
  return { path, mine, before, named, wanted, then, mix: found.partsOf.get(lot.id) ?? [] }
}
type OfLot = ReturnType<typeof ofLot>

/** The steps of one lot, each held against what stands; nothing of them is written but the rows of what was cut. */
async function stepsOf(
  ctx: WriteContext,
  input: PressInput,
  found: PressFound,
  lot: PressedLot,
  { path, mine, before, mix }: OfLot,
  { ids, deeds, putting }: { ids: number[]; deeds: Deed[]; putting: Putting | null },
): Promise<Answer<{ news: NewStep[]; doubts: Lived['doubts']; into: string[] | null }>> {
  const news: NewStep[] = []
  const doubts: Lived['doubts'] = []
  let into: string[] | null = null
  for (const { n, step, pieces: some } of deeds) {
    const those = mine.filter(piece => some.includes(piece.id))
    if (those.length < some.length) return refuse('no_such_piece', {}, ['steps', n, 'groups'])
    const cut = step.kind === 'cut' ? await cutUp(ctx, lot, those[0]!, mine, step) : null
    if (cut && !cut.ok) return cut
    if (cut) into = cut.value.labels
    const laid = laidOf(step, {
      cut: cut?.value.figures,
      syrup: mix.some(part => part.role === 'sugar'),
      readabilityG: found.scales[n]?.readability ?? (putting?.lot.mixReadabilityG ?? lot.meatReadabilityG),
      application: putting?.applications[n],
    })
    if (laid.kind === 'out') Object.assign(laid.figures, keptAgainst(found.plan.against, lot.id))
    const span = spanOf(step, found.atMs)
    const wanting = { kind: step.kind, pieces: some, atMs: span.fromMs, figures: laid.figures, put: found.puts?.[n] }
    const hanging = await refuseHang(ctx, lot, step, { pieces: those, all: mine, standing: before })
    if (hanging.doubt) doubts.push({ why: hanging.doubt.code, pieces: some })
    const refused
      = (input.again ? null : await toldAlready(ctx, lot, before, wanting))
        ?? refuseOrder(step, ids, n)
        ?? refuseFry(lot, step, [...before.filter(one => one.fromMs <= span.fromMs), ...news], ids)
        ?? refuseDrained(lot, laid, those, step.kind === 'drain' && step.sure)
        ?? refuseWeighed(lot, laid, those, mix)
        ?? refuseHeavier(lot, step, those, before, span.fromMs)
        ?? hanging.refused
    if (refused) return { path, ...refused }
    news.push({ ...laid, pieces: some, ...span, lateReason: input.lateReason } as NewStep)
  }
  return { ok: true, value: { news, doubts, into } }
}

/** How a lot's stacks lie, by numbers from the bottom up. */
const stackNumbers = ({ pieces }: LotLife, rows: readonly { id: number; number: number; part: string | null }[]) => {
  const nameOf = new Map(rows.map(row => [row.id, pieceName(row)]))
  return stacksOf(pieces).map(stack => stack.pieces.map(piece => atKey(nameOf, piece.pieceId)))
}

/** The steps of one lot as the record tells them. */
function toldOf(lot: PressedLot, { mine, named, wanted }: OfLot, deeds: readonly Deed[], laid: Laid, into: string[] | null) {
  const instead = named?.some(id => !wanted.includes(id)) ? mine.filter(piece => named.includes(piece.id)).map(pieceName) : null
  const stacks = stackNumbers(laid.life, mine)
  return deeds.map(({ step: { kind }, pieces: some }, nth) => ({
    id: laid.ids[nth]!,
    lot: lot.code,
    kind,
    pieces: mine.filter(piece => some.includes(piece.id)).map(pieceName),
    ...(instead ? { instead } : {}),
    ...(into ? { into } : {}),
    ...(stacks.length > 0 && (kind === 'turn' || kind === 'move') ? { stacks } : {}),
  }))
}

/** Lays the steps of one lot of a press down, with the rows that come with them, and judges what went on. */
export async function layLot(
  ctx: WriteContext,
  input: PressInput,
  found: PressFound,
  lot: PressedLot,
): Promise<Answer<Lived>> {
  const of = ofLot(input, found, lot)
  const { path, mine, before } = of
  const ids = mine.filter(piece => of.wanted.includes(piece.id)).map(piece => piece.id)
  if (ids.length < new Set(of.wanted).size) return refuse('no_such_piece', {}, path)
  const deeds = deedsOf(input, ids, of.then)
  const putting = found.puts && (await beginPuts(ctx, lot.id, found.puts, ids))
  const steps = await stepsOf(ctx, input, found, lot, of, { ids, deeds, putting })
  if (!steps.ok) return steps
  const { news, doubts, into } = steps.value
  // What is cut has parts that were not there when these were read.
  const known = news.some(step => step.kind === 'cut') ? {} : { pieces: mine }
  const laid = await laySteps(ctx, { ...lot, ...known }, news, before)
  if (!laid.ok) return { ...laid, path }
  for (const [n, step] of input.steps.entries())
    if (step.kind === 'cut') await keepOffcuts(ctx, lot.id, laid.value.ids[n]!, step, found.atMs)
  const judged = putting && (await layPuts(ctx, putting, laid.value.ids, found.atMs))
  if (judged && !judged.ok) return judged
  return {
    ok: true,
    value: {
      lot,
      laid: laid.value,
      greens: greensOf(mine),
      pieces: ids,
      stayed: found.moves ? await keepStayed(ctx, lot.id, laid.value.steps) : undefined,
      judgement: judged?.value,
      doubts,
      told: toldOf(lot, of, deeds, laid.value, into),
    },
  }
}
