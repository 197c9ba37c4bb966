import type { z } from 'zod'
import { localDay } from '#core/calendar/local-day'
import { forbidsRubbing } from '#core/rules/judge-nitrite'
import type { ResidualView } from '#shared/contracts/lots'
import type { labResultInput, secondApplicationInput, weighedAfterInput } from '#shared/contracts/rub'
import { recordEvent } from '../book/record-event'
import type { RowOf } from '../../db/schema/table-spec'
import type { lots as lotsTable } from '../../db/tables/lots'
import { RUBBED } from '../../db/tables/which-pieces'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { knownFile } from '../files/keep-file'
import { holdLot } from '../holds/holds'
import { laySteps } from '../steps/lay-steps'
import { refuseDay } from '../refuse-day'
import { scaleOf } from '../instruments/read-with'
import { theShop } from '../shop/shop-facts'
import { refuseVerdict } from '../rub/refuse-verdict'
import { judgementNow } from '../judging/judge-facts'
import type { Part } from '../judging/lot-facts'
import { rejudge } from '../judging/rejudge'
import { residualOf } from '../judging/residual'
import { findIngredients, type IngredientPart } from '../rub/find-ingredients'
import { waitingForSecond } from '#core/lots/second-due'

const lotByCode = (ctx: WriteContext, code: string) => ctx.tables.lots.one({ code }, { lock: true })

/** The rest of the cure goes on after the first draining; the sum is judged, and nothing past the limit goes on. */
export async function applySecond(
  ctx: WriteContext,
  code: string,
  input: z.output<typeof secondApplicationInput>,
): Promise<Answer<{ code: string }>> {
  const lot = await lotByCode(ctx, code)
  if (!lot) return refuse('no_such_lot', { code })
  const before = await ctx.tables.lotIngredients.find({ lotId: lot.id })
  if (!waitingForSecond(lot, before)) return refuse('no_second_due', { code })
  if (lot.cureEndedAtMs !== null) return refuse('cure_over', { code })
  const parts = await findIngredients(ctx.tables, input, localDay(ctx.nowMs, (await theShop(ctx.tables)).zone))
  if (!parts.ok) return parts
  const other = await refuseOther(ctx, before, parts.value)
  if (other) return other
  const scale = await scaleOf(ctx.tables, input.mixScaleId)
  if (!scale) return refuse('no_such_scale', {}, ['mixScaleId'])
  const rest = (1 - lot.firstShare!) / lot.firstShare!
  const figures = { application: 2, readabilityG: scale.readability }
  const laid = await laySteps(ctx, lot, [{ kind: 'add', pieces: 'all', figures }])
  if (!laid.ok) return laid
  await ctx.tables.lotIngredients.insertMany(
    parts.value.map(part => ({
      lotId: lot.id,
      ingredientLotId: part.lot.id,
      role: part.role,
      plannedG: (before.find(row => row.role === part.role)?.plannedG ?? 0) * rest,
      weighedG: part.weighedG,
      weighedTyped: part.weighedTyped,
      application: 2,
      appliedAtMs: ctx.nowMs,
      stepId: laid.value.ids[0]!,
      scaleId: scale.id,
      readabilityG: scale.readability,
    })),
  )
  const judgement = await judgementNow(ctx, lot.id)
  if (forbidsRubbing(judgement.status)) return refuseVerdict(judgement.status, judgement)
  await rejudge(ctx, lot.id)
  recordEvent(ctx, {
    kind: 'second_applied',
    subjects: [code, ...new Set(parts.value.map(part => part.lot.code))],
    typed: input,
    computed: { judgement, lotId: lot.id },
    steps: laid.value.ids,
  })
  return { ok: true, value: { code } }
}

/** The second half is of the same kind of curing salt as the first, of whatever lot; of none where the first was. */
async function refuseOther(ctx: WriteContext, before: readonly Part[], parts: readonly IngredientPart[]): Promise<Refusal | null> {
  const first = before.find(part => part.role === 'agent')
  const second = parts.find(part => part.role === 'agent')
  const lot = first && (await ctx.tables.ingredientLots.one({ id: first.ingredientLotId }, { withVoided: true }))
  if (lot?.agentKind === second?.lot.agentKind && (lot === undefined) === (second === undefined)) return null
  return lot
    ? refuse('second_other_agent', { code: lot.code }, ['agent', 'lotCode'])
    : refuse('agent_in_salt_only', {}, ['agent', 'lotCode'])
}

/** Excess cure: the mix shaken off. Pick-up: the meat out of its brine. Either changes what the ppm can be. */
export async function weighAfter(
  ctx: WriteContext,
  code: string,
  input: z.output<typeof weighedAfterInput>,
): Promise<Answer<{ code: string }>> {
  const lot = await lotByCode(ctx, code)
  if (!lot) return refuse('no_such_lot', { code })
  if (lot.method !== 'excess' && lot.method !== 'wet_pick_up')
    return refuse('nothing_to_weigh_back', { code }, ['weight'])
  if (!(await scaleOf(ctx.tables, input.scaleId))) return refuse('no_such_scale', {}, ['scaleId'])
  const { netG, typed } = input.weight
  const before = {
    weighedBackG: lot.weighedBackG,
    weighedBackTyped: lot.weighedBackTyped,
    afterG: lot.afterG,
    afterTyped: lot.afterTyped,
  }
  if (lot.method === 'excess') {
    const appliedG = await ctx.tables.lotIngredients.sum('weighedG', { lotId: lot.id })
    if (netG >= appliedG) return refuse('weighed_back_all', {}, ['weight'])
    await ctx.tables.lots.update(lot.id, { weighedBackG: netG, weighedBackTyped: typed })
  }
  else {
    const greenG = await ctx.tables.pieces.sum('greenG', { lotId: lot.id, ...RUBBED })
    if (netG < greenG / 2 || netG > greenG * 2) return refuse('after_brine_weight', { netG, greenG }, ['weight'])
    await ctx.tables.lots.update(lot.id, { afterG: netG, afterTyped: typed })
  }
  const what = lot.method === 'excess' ? 'weighed_back' : 'after_brine'
  const laid = await laySteps(ctx, lot, [{ kind: 'weigh', pieces: 'all', figures: { what, netG } }])
  if (!laid.ok) return laid
  const judgement = await rejudge(ctx, lot.id)
  recordEvent(ctx, {
    kind: 'weighed_after',
    subjects: [code],
    typed: input,
    computed: { method: lot.method, before, judgement, lotId: lot.id },
    steps: laid.value.ids,
  })
  return { ok: true, value: { code } }
}

/** What a laboratory found. Above a residual row's limit it holds the lot. */
export async function recordLabResult(
  ctx: WriteContext,
  code: string,
  input: z.output<typeof labResultInput>,
): Promise<Answer<{ code: string }>> {
  const lot = await lotByCode(ctx, code)
  if (!lot) return refuse('no_such_lot', { code })
  const wrongDay = refuseDay(ctx, input.sampledOn, { code, day: lot.rubbedOn }, ['sampledOn'])
  if (wrongDay) return wrongDay
  if (!(await knownFile(ctx.tables, input.fileId))) return refuse('no_such_file', {}, ['fileId'])
  const labResultId = await ctx.tables.labResults.insert({
    lotId: lot.id,
    residualPpm: input.residual,
    typed: String(input.residual),
    laboratory: input.laboratory,
    report: input.report,
    sampledOn: input.sampledOn,
    fileId: input.fileId,
    atMs: ctx.nowMs,
    byId: ctx.actor.id,
  })
  const maxPpm = Math.min(...lot.judgement.residual.flatMap(row => row.maxPpm ?? []), Infinity)
  recordEvent(ctx, {
    kind: 'lab_result',
    subjects: [code],
    typed: input,
    computed: { labResultId, lotId: lot.id, ...(Number.isFinite(maxPpm) ? { maxPpm } : {}) },
  })
  if (input.residual > maxPpm)
    await holdLot(ctx, lot, { reason: 'residual_high', again: true, figures: { residualPpm: input.residual, maxPpm } })
  return { ok: true, value: { code } }
}

function notShown(lot: RowOf<typeof lotsTable>, why: NonNullable<ResidualView['why']>, found: ResidualView): Refusal {
  const { code } = lot
  if (why === 'over') return refuse('residual_over', { code, boundPpm: found.boundPpm!, maxPpm: found.maxPpm! })
  if (why === 'no_figure')
    return refuse('residual_no_figure', { code, jurisdiction: lot.judgement.jurisdiction })
  return refuse(`residual_${why}`, { code })
}

/** Lots that a residual row governs go to a customer only once a laboratory, or mass balance, shows what is left. */
export async function refuseResidual(
  ctx: WriteContext,
  lots: readonly RowOf<typeof lotsTable>[],
): Promise<Answer<null>> {
  for (const lot of lots) {
    const found = await residualOf(ctx.tables, lot)
    if (found?.why) return notShown(lot, found.why, found)
  }
  return { ok: true, value: null }
}
