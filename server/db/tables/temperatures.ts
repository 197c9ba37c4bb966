import type { SmokeOutcome } from '#core/smoke/outcome'
import { celsius, instant, int, nullable, text } from '../column'
import { tableSpec, voidableSpec } from '../table-spec'

export const fridges = tableSpec('fridges', { name: text(), thermometerId: nullable(int()) }, ['name', 'thermometerId'])

export const fridgeReadings = voidableSpec('fridge_readings', {
  /** `tempC` is what was read less the thermometer's offset. */
  fridgeId: int(), atMs: instant(), tempC: celsius(), typed: text(32), thermometerId: nullable(int()), offsetC: celsius(), byId: int(),
}, ['tempC', 'typed'])

export const runs = voidableSpec('runs', {
  code: text(16), smoker: text(), targetCoreC: celsius(), startedAtMs: instant(), startedById: int(),
  pulledAtMs: nullable(instant()), pulledById: nullable(int()), outcome: nullable(text<SmokeOutcome>(16)),
  coreThermometerId: nullable(int()), chamberThermometerId: nullable(int()),
}, ['pulledAtMs', 'pulledById', 'outcome'])

export const runPieces = voidableSpec('run_pieces', { runId: int(), pieceId: int() })

export const runReadings = voidableSpec('run_readings', {
  runId: int(), phase: text<'smoke' | 'cool'>(8), atMs: instant(), chamberC: nullable(celsius()), coreC: nullable(celsius()),
  typed: text(64), source: text<'hand' | 'csv'>(8), coreOffsetC: celsius(), chamberOffsetC: celsius(), byId: int(),
}, ['coreC', 'typed'])
