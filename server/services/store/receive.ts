import type { z } from 'zod'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import { ARRIVAL_REFUSE_C, type ingredientInput, type meatInput } from '#shared/contracts/store'
import { nextCode } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { partyNamed } from './parties'

/** Meat comes in. Above 7 °C it is not taken without a note that says why. */
export async function receiveMeat(ctx: WriteContext, input: z.output<typeof meatInput>): Promise<Answer<{ code: string }>> {
  if (input.temperature.tempC > ARRIVAL_REFUSE_C && !input.note) {
    return refuse('arrival_too_warm', { tempC: input.temperature.tempC }, ['note'])
  }
  const code = await nextCode(ctx.tables, 'meat')
  const meatLotId = await ctx.tables.meatLots.insert({
    code, supplierId: await partyNamed(ctx.tables, 'supplier', input.supplier), supplierLot: input.supplierLot,
    cut: input.cut, rind: input.rind, weightG: input.weight.netG, weightTyped: input.weight.typed,
    temperatureC: input.temperature.tempC, temperatureTyped: input.temperature.typed,
    packDate: input.packDate, note: input.note || null, receivedAtMs: ctx.nowMs, receivedById: ctx.actor.id,
  })
  recordEvent(ctx, { kind: 'meat_received', subjects: [code], typed: input, computed: { weightG: input.weight.netG, temperatureC: input.temperature.tempC, meatLotId } })
  return { ok: true, value: { code } }
}

const PURE_SALT = 1

/** An ingredient comes in; curing salt brings its certificate's nitrite share. */
export async function receiveIngredient(ctx: WriteContext, input: z.output<typeof ingredientInput>): Promise<Answer<{ code: string }>> {
  const code = await nextCode(ctx.tables, 'ingredient')
  const certificate = input.kind === 'curing_salt' ? input.certificate : null
  const nitriteFraction = certificate?.nitritePercent ?? 0
  const saltFraction = certificate ? PURE_SALT - nitriteFraction : input.kind === 'salt' ? PURE_SALT : 0
  const ingredientLotId = await ctx.tables.ingredientLots.insert({
    code, kind: input.kind, name: input.name, supplierId: await partyNamed(ctx.tables, 'supplier', input.supplier),
    supplierLot: input.supplierLot, amountG: input.amount.netG, amountTyped: input.amount.typed, bestBefore: input.bestBefore,
    certificate: certificate?.number ?? null, nitriteFraction, nitriteAs: certificate?.nitriteAs ?? CURING_SALT_NO_1.nitriteAs,
    nitrateFraction: 0, saltFraction, labelTolerance: certificate?.tolerancePercent ?? 0,
    receivedAtMs: ctx.nowMs, receivedById: ctx.actor.id,
  })
  recordEvent(ctx, { kind: 'ingredient_received', subjects: [code], typed: input, computed: { amountG: input.amount.netG, nitriteFraction, saltFraction, ingredientLotId } })
  return { ok: true, value: { code } }
}
