import type { FiguresOfStep, StepKind } from '#core/life/step'
import { instant, int, json, nullable, text } from '../column'
import { voidableSpec } from '../table-spec'

/**
 * What was done to pieces of a lot, the rub first, in order of `fromAtMs` and then of id. The record that tells of a step
 * gets its number after the step is written: no seal covers it.
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
