import type { Cut, Rind } from '#core/rules/cuts'
import type { NitriteCompound } from '#core/cure/agent'
import type { IngredientKind } from '#shared/contracts/store'
import { celsius, day, grams, instant, int, nullable, share, text } from '../column'
import { tableSpec, voidableSpec } from '../table'

export const parties = tableSpec('parties', { kind: text<'supplier' | 'customer'>(16), name: text() })

export const meatLots = voidableSpec('meat_lots', {
  code: text(16), supplierId: int(), supplierLot: text(), cut: text<Cut>(16), rind: text<Rind>(8),
  weightG: grams(), weightTyped: text(64), temperatureC: celsius(), temperatureTyped: text(32),
  packDate: nullable(day()), note: nullable(text(500)), receivedAtMs: instant(), receivedById: int(),
})

export const ingredientLots = voidableSpec('ingredient_lots', {
  code: text(16), kind: text<IngredientKind>(16), name: text(), supplierId: int(), supplierLot: text(),
  amountG: grams(), amountTyped: text(64), bestBefore: nullable(day()), certificate: nullable(text()),
  nitriteFraction: share(), nitriteAs: text<NitriteCompound>(8), nitrateFraction: share(), saltFraction: share(), labelTolerance: share(),
  receivedAtMs: instant(), receivedById: int(),
})
