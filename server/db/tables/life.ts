import type { FiguresOfStep, StepKind } from '#core/life/kinds/all-kinds'
import type { Plan } from '#core/plan/plan'
import { bool, instant, int, json, nullable, text } from '../schema/column'
import { voidableSpec } from '../schema/table-spec'

/**
 * What was done to pieces of a lot, the rub first, in order of `fromAtMs` and then of id. The record that tells of a
 * step gets its number after the step is written: no seal covers it.
 */
export const steps = {
  ...voidableSpec(
    'steps',
    {
      eventId: nullable(int()),
      endEventId: nullable(int()),
      lotId: int(),
      kind: text<StepKind>(16),
      /** Ids of the pieces. */
      pieces: json<number[]>(),
      placeId: nullable(int()),
      fromAtMs: instant(),
      /** Null: still going. */
      toAtMs: nullable(instant()),
      /** The smoke that it is a part of. */
      runId: nullable(int()),
      figures: json<FiguresOfStep[StepKind]>(),
      byId: int(),
      lateReason: nullable(text(500)),
    },
    ['eventId', 'endEventId', 'fromAtMs', 'toAtMs', 'figures'],
  ),
  unsealed: ['eventId', 'endEventId'],
}

/**
 * What is intended with a lot, or with pieces that go a way of their own. Only grows: the last that stands is followed.
 */
export const plans = voidableSpec('plans', {
  lotId: int(),
  /** Counted from 1 within the lot. */
  number: int(),
  content: json<Plan>(),
  /** True of a plan that nobody laid: the shop's usual way, until somebody says so. */
  assumed: bool(),
  /** Ids; null: the lot. */
  pieceIds: nullable(json<number[]>()),
  reason: nullable(text(500)),
  atMs: instant(),
  byId: int(),
})
