import { z } from 'zod'
import { CUTS, RINDS, type Cut, type Rind } from '#core/rules/cuts'
import type { CuringAgent } from '#core/cure/agent'
import { DELIVERY_RANGE, INGREDIENT_RANGE, isoDate, name, note, percent, temperature, weight } from './fields'

export const INGREDIENT_KINDS = ['curing_salt', 'salt', 'sugar', 'spice'] as const
export type IngredientKind = (typeof INGREDIENT_KINDS)[number]

export const meatInput = z.strictObject({
  supplier: name(), supplierLot: name(), cut: z.enum(CUTS), rind: z.enum(RINDS),
  weight: weight(DELIVERY_RANGE), temperature: temperature(), packDate: isoDate().nullable(), note: note(),
})

/** Nitrite on the certificate: 0.4 to 10 per cent covers every curing salt sold; more is a slip of the key. */
const certificate = z.strictObject({
  number: name(), nitritePercent: percent(0.1, 10), nitriteAs: z.enum(['NaNO2', 'KNO2', 'NO2']), tolerancePercent: percent(0, 2),
})

export const ingredientInput = z.strictObject({
  kind: z.enum(INGREDIENT_KINDS), name: name(), supplier: name(), supplierLot: name(),
  amount: weight(INGREDIENT_RANGE), bestBefore: isoDate().nullable(), certificate: certificate.nullable(),
}).superRefine((input, ctx) => {
  if (input.kind === 'curing_salt' && input.certificate === null) {
    ctx.addIssue({ code: 'custom', path: ['certificate', 'number'], message: 'certificate_missing' })
  }
})

export interface MeatView {
  code: string, supplier: string, supplierLot: string, cut: Cut, rind: Rind
  weightG: number, weightTyped: string, temperatureC: number, packDate: string | null, note: string | null
  receivedAtMs: number, usedG: number
}
export interface IngredientView {
  code: string, kind: IngredientKind, name: string, supplier: string, supplierLot: string
  amountG: number, usedG: number, bestBefore: string | null, certificate: string | null, agent: CuringAgent | null, receivedAtMs: number
}
export interface StoreView { meat: MeatView[], ingredients: IngredientView[], suppliers: string[] }

/** On arrival: warn above the first, hold or refuse above the second, °C. */
export const ARRIVAL_WARN_C = 4.4
export const ARRIVAL_REFUSE_C = 7
