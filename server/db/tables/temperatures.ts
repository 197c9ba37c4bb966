import type { LotHeats } from '#core/smoke/heats'
import type { SmokeOutcome } from '#core/smoke/outcome'
import { celsius, instant, int, json, nullable, text } from '../schema/column'
import { outsideBook, tableSpec, voidableSpec } from '../schema/table-spec'

export const runs = voidableSpec(
  'runs',
  {
    code: text(16),
    /** The name as it was then, of the place that it is. */
    smoker: text(),
    placeId: nullable(int()),
    targetCoreC: celsius(),
    startedAtMs: instant(),
    startedById: int(),
    pulledAtMs: nullable(instant()),
    pulledById: nullable(int()),
    outcome: nullable(text<SmokeOutcome>(16)),
    coreThermometerId: nullable(int()),
    chamberThermometerId: nullable(int()),
    /**
     * Counts every change of its readings, null before the first: what was worked out from them stands for one version.
     */
    readingsVersion: nullable(int()),
  },
  ['readingsVersion', 'pulledAtMs', 'pulledById', 'outcome'],
)

export const runPieces = voidableSpec('run_pieces', { runId: int(), pieceId: int() })

export const runReadings = voidableSpec(
  'run_readings',
  {
    runId: int(),
    phase: text<'smoke' | 'cool'>(8),
    atMs: instant(),
    chamberC: nullable(celsius()),
    coreC: nullable(celsius()),
    typed: text(64),
    source: text<'hand' | 'csv'>(8),
    coreOffsetC: celsius(),
    chamberOffsetC: celsius(),
    byId: int(),
  },
  ['coreC', 'typed'],
)

/**
 * What a lot's heats come to, once no reading and no hour can change it; kept for what it was worked out from, by
 * digest.
 */
export const heatJudgements = outsideBook(
  tableSpec('heat_judgements', { lotId: int(), inputs: text(64), judged: json<LotHeats>() }, ['inputs', 'judged']),
)
