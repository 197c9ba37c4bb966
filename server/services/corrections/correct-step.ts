import { byId } from '#core/lists/by-id'
import { localSecond } from '#core/calendar/local-day'
import { drainedG } from '#core/retained/drained'
import { happenedMs } from '#core/life/happened'
import { sumOf } from '#core/lists/sum-of'
import { isThat, type FiguresOfStep, type StepKind } from '#core/life/kinds/all-kinds'
import type { Step } from '#core/life/step'
import type { Milliseconds } from '#core/units/quantities'
import type { TypedWeight } from '#shared/entry/fields'
import { refuse, type Answer, type WriteContext } from '../context'
import { stepsOfRecord } from '../steps/steps-of-record'
import { lockLots, refuseChange, settleChange } from '../press/change-steps'
import type { Changed } from './changed'

/**
 * What a press tells. The hours of a rub, a heat, a slicing, a second application told on its own stand with other rows
 * too: those are voided and told again.
 */
const isPressed = ({ kind, figures }: { kind: StepKind; figures: unknown }): boolean =>
  kind === 'weigh'
    ? (figures as FiguresOfStep['weigh']).what === 'meat'
    : isThat(kind, 'pressed') || (kind === 'add' && (figures as FiguresOfStep['add']).face !== undefined)

/** The steps of a press that stand, and their lots, locked. */
async function pressOf(ctx: WriteContext, eventId: number) {
  const { told: id } = await stepsOfRecord(ctx.tables, eventId)
  const known = await ctx.tables.steps.pick(['lotId'], { id })
  const lots = await lockLots(ctx, known.map(step => step.lotId))
  // The rows are read now that nobody else can void or correct one.
  const told = await ctx.tables.steps.find({ id }, { order: [['id', 'ASC']] })
  if (told.length === 0) return refuse('no_such_entry')
  if (!told.every(isPressed)) return refuse('stands_with_others')
  return { ok: true as const, value: { told, lots } }
}

/** Minutes on the wall are what people say. */
const wall = (atMs: Milliseconds, zone: string): string => localSecond(atMs, zone).slice(0, -3)

/** The same step from another moment on: it lasts as long, or goes on. */
const moved = ({ fromMs, toMs }: Pick<Step, 'fromMs' | 'toMs'>, atMs: Milliseconds): Pick<Step, 'fromMs' | 'toMs'> => ({
  fromMs: atMs,
  toMs: toMs === null ? null : atMs + (toMs - fromMs),
})

/** A press was done at another hour: all its steps move there, if nothing then contradicts itself. */
export async function correctHour(ctx: WriteContext, eventId: number, toMs: Milliseconds): Promise<Answer<Changed>> {
  const press = await pressOf(ctx, eventId)
  if (!press.ok) return press
  const atMs = happenedMs({ told: 'at', atMs: toMs }, ctx.nowMs)
  if (atMs === null) return refuse('not_yet_happened', {}, ['value'])
  const { told, lots } = press.value
  const lastMs = Math.max(...told.map(step => moved({ fromMs: step.fromAtMs, toMs: step.toAtMs }, atMs).toMs ?? atMs))
  if (lastMs > ctx.nowMs) return refuse('not_yet_happened', {}, ['value'])
  const ids = new Set(told.map(step => step.id))
  const refused = await refuseChange(ctx, lots, steps =>
    steps.map((step): Step => (ids.has(step.id) ? { ...step, ...moved(step, atMs) } : step)),
  )
  if (!refused.ok) return { ...refused, path: ['value'] }
  for (const step of told) {
    const { fromMs, toMs } = moved({ fromMs: step.fromAtMs, toMs: step.toAtMs }, atMs)
    await ctx.tables.steps.update(step.id, { fromAtMs: fromMs, toAtMs: toMs })
  }
  await settleChange(ctx, lots, told.map(step => step.kind))
  const { zone } = lots[0]!
  return {
    ok: true,
    value: {
      subjects: lots.map(lot => lot.code),
      about: `the hour of record ${eventId}`,
      from: wall(told[0]!.fromAtMs, zone),
      to: wall(atMs, zone),
    },
  }
}

/** Another amount was drained or leaked than was told. */
export async function correctDrained(ctx: WriteContext, eventId: number, weight: TypedWeight): Promise<Answer<Changed>> {
  const press = await pressOf(ctx, eventId)
  if (!press.ok) return press
  const { told, lots } = press.value
  const drains = told.filter(step => step.kind === 'drain')
  if (drains.length === 0) return refuse('no_such_entry')
  const { netG } = weight
  const lotOf = byId(lots, 'lot')
  for (const step of drains) {
    const greenG = sumOf(await ctx.tables.pieces.pick(['greenG'], { id: step.pieces }), piece => piece.greenG)
    const { code } = lotOf(step.lotId)
    if (netG > greenG) return refuse('drained_over', { code, drainedG: netG, greenG }, ['value'])
    const figures = step.figures as FiguresOfStep['drain']
    await ctx.tables.steps.update(step.id, { figures: { ...figures, drained: drainedG({ netG }, { syrup: false }) } })
  }
  await settleChange(ctx, lots, ['drain'])
  const before = (drains[0]!.figures as FiguresOfStep['drain']).drained
  return {
    ok: true,
    value: {
      subjects: lots.map(lot => lot.code),
      about: `what left by record ${eventId}`,
      from: before === null ? 'not seen' : amountText(before),
      to: weight.typed,
    },
  }
}

const amountText = ({ lowG, highG }: { lowG: number; highG: number }): string =>
  lowG === highG ? `${Math.round(lowG)} g` : `${Math.round(lowG)} to ${Math.round(highG)} g`
