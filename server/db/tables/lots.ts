import type { Cut, Rind } from '#core/rules/cuts'
import type { Judgement } from '#shared/contracts/judgement'
import type { HoldReason } from '#shared/contracts/holds'
import type { Targets } from '#core/cure/formulate'
import type { OffcutKind } from '#core/slicing/mass-balance'
import { bool, day, decimal, grams, instant, int, json, nullable, text } from '../column'
import { tableSpec, voidableSpec } from '../table'

export const lots = voidableSpec('lots', {
  code: text(16), cut: text<Cut>(16), rind: text<Rind>(8), saltOnly: bool(), fridgeId: int(),
  rubbedAtMs: instant(), rubbedOn: day(), zone: text(64), rubbedById: int(),
  thicknessMm: decimal(7, 2), readyFromDay: int(), bestByDay: int(), turnEveryDays: decimal(3, 1), turnBy: text(5),
  meatReadabilityG: grams(), mixReadabilityG: grams(), meatScaleId: nullable(int()), mixScaleId: nullable(int()), targets: json<Targets>(), judgement: json<Judgement>(),
  drainedAtMs: nullable(instant()), cureEndedAtMs: nullable(instant()),
  readyG: nullable(grams()), readyTyped: nullable(text(64)), note: nullable(text(500)),
})

export const pieces = voidableSpec('pieces', {
  lotId: int(), number: int(), meatLotId: int(), meatPieceId: nullable(int()), greenG: grams(), greenTyped: text(64), readings: int(),
})

export const lotIngredients = voidableSpec('lot_ingredients', {
  lotId: int(), ingredientLotId: int(), role: text<'agent' | 'salt' | 'sugar'>(8),
  plannedG: grams(), weighedG: grams(), weighedTyped: text(64),
})

export const turns = voidableSpec('turns', { lotId: int(), atMs: instant(), byId: int() })

export const holds = tableSpec('holds', {
  /** One of the two is held. */
  lotId: nullable(int()), meatLotId: nullable(int()), reason: text<HoldReason>(32), note: nullable(text(500)), placedAtMs: instant(),
  disposition: nullable(text<'release' | 'rework' | 'destroy'>(16)), dispositionText: nullable(text(500)),
  disposedAtMs: nullable(instant()), disposedById: nullable(int()),
})

export const offcuts = voidableSpec('offcuts', {
  lotId: int(), kind: text<OffcutKind>(16), massG: grams(), massTyped: text(64), atMs: instant(), byId: int(),
})

export const packs = voidableSpec('packs', {
  code: text(16), lotId: int(), kind: text<'sliced' | 'ends'>(16), netG: grams(), netTyped: text(64),
  packedOn: day(), packedAtMs: instant(), packedById: int(), scaleId: nullable(int()), dispatchId: nullable(int()),
})

export const dispatches = voidableSpec('dispatches', { customerId: int(), sentOn: day(), sentAtMs: instant(), sentById: int() })
