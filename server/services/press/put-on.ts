import { localDay } from '#core/calendar/local-day'
import { forbidsRubbing } from '#core/rules/judge-nitrite'
import { isPastDate } from '#core/store/past-date'
import type { Milliseconds } from '#core/units/quantities'
import type { Judgement } from '#shared/contracts/judgement'
import type { PressInput } from '#shared/steps/press'
import type { StepInput } from '#shared/steps/all-told'
import type { MixRole } from '#shared/contracts/store'
import type { RowOf } from '../../db/schema/table-spec'
import type { lots } from '../../db/tables/lots'
import { isLeaf } from '../../db/tables/which-pieces'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { holdLot } from '../holds/holds'
import { judgeFacts } from '../judging/judge-facts'
import { lotFacts, type Part } from '../judging/lot-facts'
import { holdForSalt, rejudge, saltNow } from '../judging/rejudge'
import { waitingForSecond } from '#core/lots/second-due'
import { findAsked, type IngredientPart } from '../rub/find-ingredients'
import { agentFits } from '../rub/agent-fits'

type Lot = RowOf<typeof lots>
type PutInput = Extract<StepInput, { kind: 'add' | 'flavour' }>
/** A step that puts something on, with its lots of the store and the scale they were weighed on. */
export interface Put {
  input: PutInput
  parts: IngredientPart[]
  scale: { id: number; readability: number } | null
}
const putsOn = (step: StepInput): step is PutInput => step.kind === 'add' || step.kind === 'flavour'
export const hasPuts = ({ steps }: PressInput): boolean => steps.some(putsOn)

/** Curing salt by itself is weighed, whatever was meant; a mix of the shop's own is not, and then the lot waits. */
function refuseByEye({ parts }: Pick<Put, 'parts'>, { parts: asked }: PutInput, path: (string | number)[]): Refusal | null {
  const i = parts.findIndex((part, n) => asked[n]!.weighed === null && part.lot.kind === 'curing_salt')
  return i < 0 ? null : refuse('agent_by_eye', { name: parts[i]!.lot.name }, [...path, 'parts', i, 'weighed'])
}

/**
 * What a press puts on, step by step; null where it puts nothing on. Locked: two hands cannot take the last of a lot.
 * `today`: the day on which it went on.
 */
export async function findPuts(
  ctx: WriteContext,
  { steps }: PressInput,
  scales: readonly ({ id: number; readability: number } | null)[],
  today: string,
): Promise<Answer<(Put | null)[]>> {
  const puts: (Put | null)[] = []
  for (const [i, step] of steps.entries()) {
    if (!putsOn(step)) {
      puts.push(null)
      continue
    }
    const path = ['steps', i]
    const asked = step.parts.map((part, n) => ({ ...part, role: null, path: [...path, 'parts', n], seasoning: null }))
    const parts = await findAsked(ctx.tables, asked, today, { done: step.sure })
    if (!parts.ok) return parts
    const byEye = refuseByEye({ parts: parts.value }, step, path)
    if (byEye) return byEye
    puts.push({ input: step, parts: parts.value, scale: scales[i] ?? null })
  }
  return { ok: true, value: puts }
}

/** The second of two applications is the first that brings of what the first was made with, on all pieces. */
const isSecond = (lot: Lot, before: readonly Part[], { input, parts }: Put, isWhole: boolean): boolean =>
  input.kind === 'add'
  && isWhole
  && waitingForSecond(lot, before)
  && parts.some(part => part.role === (lot.saltOnly ? 'salt' : 'agent'))

/** A lot on which something is put, and what stood on it before. */
export interface Putting {
  lot: Lot
  before: readonly Part[]
  puts: readonly (Put | null)[]
  /** The number of each put, step by step: the rub is the first, the second half the second. */
  applications: readonly number[]
  /** Null: all of the lot. */
  pieceIds: number[] | null
}
export async function beginPuts(
  ctx: WriteContext,
  lotId: number,
  puts: readonly (Put | null)[],
  pieceIds: number[],
): Promise<Putting> {
  const [lot, before, pieces] = await Promise.all([
    ctx.tables.lots.one({ id: lotId }),
    ctx.tables.lotIngredients.find({ lotId }),
    ctx.tables.pieces.pick(['goneWhy', 'goneAtMs'], { lotId }),
  ])
  const isCut = !pieces.every(isLeaf)
  const isWhole = pieceIds.length === pieces.filter(piece => piece.goneAtMs === null).length
  const second = puts.findIndex(put => put && isSecond(lot!, before, put, isWhole))
  let last = Math.max(2, ...before.map(part => part.application))
  const applications = puts.map((put, i) => (put === null ? 0 : i === second ? 2 : (last += 1)))
  return { lot: lot!, before, puts, applications, pieceIds: isWhole && !isCut ? null : pieceIds }
}

/** Codes of what went on, and their names, for the record. */
const lotsIn = (puts: readonly (Put | null)[]) => puts.flatMap(put => put?.parts ?? []).map(part => part.lot)
export const codesOf = (puts: readonly (Put | null)[]): string[] => [...new Set(lotsIn(puts).map(lot => lot.code))]
export const namesOf = (puts: readonly (Put | null)[]): Record<string, string> =>
  Object.fromEntries(lotsIn(puts).map(({ code, name }) => [code, name]))

/** Writes what went on beside its steps, and judges the lot by it. `stepIds`: of the press, in order. */
export async function layPuts(
  ctx: WriteContext,
  { lot, before, puts, applications, pieceIds }: Putting,
  stepIds: readonly number[],
  atMs: Milliseconds,
): Promise<Answer<Judgement>> {
  const rest = lot.firstShare === null ? 0 : (1 - lot.firstShare) / lot.firstShare
  const planned = (role: MixRole) => (before.find(row => row.role === role)?.plannedG ?? 0) * rest
  const rows = puts.flatMap((put, i) =>
    (put?.parts ?? []).map((part, n) => ({
      lotId: lot.id,
      ingredientLotId: part.lot.id,
      role: part.role,
      plannedG: applications[i] === 2 ? planned(part.role) : 0,
      weighedG: part.weighedG,
      weighedTyped: part.weighedTyped,
      application: applications[i]!,
      appliedAtMs: atMs,
      stepId: stepIds[i]!,
      pieceIds,
      face: put!.input.kind === 'add' ? put!.input.face : null,
      usedFor: put!.input.kind === 'flavour' ? ('flavour' as const) : null,
      unweighed: put!.input.parts[n]!.weighed === null ? true : null,
      scaleId: put!.scale?.id ?? null,
      readabilityG: put!.scale?.readability ?? null,
    })),
  )
  await ctx.tables.lotIngredients.insertMany(rows)
  return await settlePuts(ctx, lot, puts.filter(put => put !== null), atMs)
}

/** Curing salts that may not go on this meat: said first, and held where they lie on it already. */
async function refuseAgents(
  { tables }: WriteContext,
  lot: Lot,
  puts: readonly Put[],
  today: string,
): Promise<{ refusal: Refusal | null; wrong: string[] }> {
  const wrong: string[] = []
  for (const { input, parts } of puts) {
    for (const { lot: used, role } of parts) {
      if (role !== 'agent') continue
      const fit = await agentFits(tables, lot, used, today)
      if (fit.ok && fit.value !== null && !lot.saltOnly) continue
      wrong.push(used.code)
      if (!input.sure) return { refusal: fit.ok ? refuse('agent_on_salt_only', { code: lot.code }) : fit, wrong }
    }
  }
  return { refusal: null, wrong }
}

/** What the meat would hold with it, said before it is taken: above a limit, open upwards, far too salty. */
function refuseJudged(
  lot: Lot,
  puts: readonly Put[],
  judged: Judgement,
  salt: ReturnType<typeof saltNow>,
): Refusal | null {
  if (puts.every(put => put.input.sure)) return null
  const isAgent = (part: IngredientPart) => part.role === 'agent'
  const byEye = puts.some(put => put.parts.some((part, n) => isAgent(part) && put.input.parts[n]!.weighed === null))
  if (byEye) return refuse('add_unweighed', { code: lot.code })
  if (puts.some(put => put.parts.some(isAgent)) && judged.lot && forbidsRubbing(judged.status))
    return refuse('add_over', { code: lot.code, highPpm: judged.lot.highPpm, maxPpm: judged.maxPpm, source: judged.row.source })
  return salt?.status === 'slip' ? refuse('add_too_salty', { code: lot.code, share: salt.share }) : null
}

/**
 * Judges a lot afresh by what was put on it, after it was written. What the law does not allow is refused until it is
 * said that it lies on the meat already; then it is recorded, and holds.
 */
async function settlePuts(ctx: WriteContext, lot: Lot, puts: readonly Put[], atMs: Milliseconds): Promise<Answer<Judgement>> {
  const today = localDay(atMs, lot.zone)
  const agents = await refuseAgents(ctx, lot, puts, today)
  if (agents.refusal) return agents.refusal
  const facts = await lotFacts(ctx.tables, lot.id)
  const refused = refuseJudged(lot, puts, await judgeFacts(ctx.tables, facts), saltNow(facts))
  if (refused) return refused
  for (const code of agents.wrong)
    await holdLot(ctx, lot, { reason: 'wrong_agent', again: true, figures: { used: code } })
  const past = puts.flatMap(put => put.parts).filter(part => part.role !== 'agent' && isPastDate(part.lot, today))
  if (past.length > 0)
    await holdLot(ctx, lot, { reason: 'past_date', again: true, figures: { used: past.map(part => part.lot.code).join(' ') } })
  if (puts.some(put => put.parts.some(part => part.role === 'agent')))
    return { ok: true, value: await rejudge(ctx, lot.id) }
  await holdForSalt(ctx, facts)
  return { ok: true, value: facts.lot.judgement }
}
