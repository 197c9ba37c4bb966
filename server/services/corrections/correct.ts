import { forbidsRubbing, holdsLot } from '#core/rules/judge-nitrite'
import { RULE_SETS } from '#core/rules/us-rules'
import type { CorrectionInput } from '#shared/contracts/corrections'
import type { HoldReason } from '#shared/contracts/holds'
import { judgeLot } from '#shared/judging/judge-lot'
import { recordEvent } from '../book/record-event'
import { notFound, type Answer, type WriteContext } from '../context'
import { checkFridge } from '../cold-room/read-fridge'
import { holdLot } from '../holds/holds'
import { shopView, theShop } from '../office/office'
import { checkRun, lotsOfRun } from '../smoke/check-run'
import { agentOf } from '../store/store-view'

/** What a correction changed: the codes it concerns, and the value before and after, as typed. */
interface Changed { subjects: string[], from: string, to: string, about: string }

/** Judges a lot again from its weights as they now stand, and holds it if they ask for it. */
async function rejudge(ctx: WriteContext, lotId: number): Promise<void> {
  const lot = (await ctx.tables.lots.one({ id: lotId }))!
  const [pieces, parts, shop, row] = await Promise.all([
    ctx.tables.pieces.find({ lotId }, { order: [['number', 'ASC']] }), ctx.tables.lotIngredients.find({ lotId }),
    shopView(ctx.tables), theShop(ctx.tables),
  ])
  const agentPart = parts.find(part => part.role === 'agent')
  const agentLot = agentPart && await ctx.tables.ingredientLots.one({ id: agentPart.ingredientLotId })
  const judgement = judgeLot({
    rules: RULE_SETS[row.ruleSetId]!, cut: lot.cut, rind: lot.rind, confirmed: shop.confirmed,
    pieces: pieces.map(piece => ({ massG: piece.greenG, readings: piece.readings === 2 ? 2 : 1 })),
    meatReadabilityG: lot.meatReadabilityG, mixReadabilityG: lot.mixReadabilityG, agent: agentLot ? agentOf(agentLot) : null,
    agentG: agentPart?.weighedG ?? 0, mixG: parts.reduce((sum, part) => sum + part.weighedG, 0),
  })!
  await ctx.tables.lots.update(lotId, { judgement })
  if (holdsLot(judgement.status) || forbidsRubbing(judgement.status)) {
    await holdLot(ctx, lot, { reason: judgement.status as HoldReason, again: true, figures: { ppm: judgement.lot?.ppm } })
  }
}

async function apply(ctx: WriteContext, c: CorrectionInput): Promise<Answer<Changed>> {
  const { tables } = ctx
  const changed = (subjects: string[], about: string, from: string, to: string) => ({ ok: true as const, value: { subjects, about, from, to } })
  switch (c.what) {
    case 'meat_weight':
    case 'meat_supplier_lot': {
      const meat = await tables.meatLots.one({ code: c.code }, { lock: true })
      if (!meat) return notFound('no_such_meat', { code: c.code })
      if (c.what === 'meat_supplier_lot') {
        await tables.meatLots.update(meat.id, { supplierLot: c.value })
        return changed([meat.code], meat.code, meat.supplierLot, c.value)
      }
      await tables.meatLots.update(meat.id, { weightG: c.value.netG, weightTyped: c.value.typed })
      return changed([meat.code], meat.code, meat.weightTyped, c.value.typed)
    }
    case 'piece_weight': {
      const piece = await tables.pieces.one({ id: c.id }, { lock: true })
      if (!piece) return notFound('no_such_piece')
      await tables.pieces.update(piece.id, { greenG: c.value.netG, greenTyped: c.value.typed, readings: c.value.readings })
      await rejudge(ctx, piece.lotId)
      const lot = (await tables.lots.one({ id: piece.lotId }))!
      return changed([lot.code], `${lot.code} / ${piece.number}`, piece.greenTyped, c.value.typed)
    }
    case 'ingredient_weighed': {
      const part = await tables.lotIngredients.one({ id: c.id }, { lock: true })
      if (!part) return notFound('no_such_ingredient')
      await tables.lotIngredients.update(part.id, { weighedG: c.value.netG, weighedTyped: c.value.typed })
      await rejudge(ctx, part.lotId)
      const [lot, ingredient] = await Promise.all([tables.lots.one({ id: part.lotId }), tables.ingredientLots.one({ id: part.ingredientLotId })])
      return changed([lot!.code, ingredient!.code], `${lot!.code}, ${ingredient!.name}`, part.weighedTyped, c.value.typed)
    }
    case 'fridge_reading': {
      const reading = await tables.fridgeReadings.one({ id: c.id }, { lock: true })
      if (!reading) return notFound('no_such_reading')
      await tables.fridgeReadings.update(reading.id, { tempC: c.value.tempC, typed: c.value.typed })
      const lots = await tables.lots.find({ fridgeId: reading.fridgeId, cureEndedAtMs: null })
      await checkFridge(ctx, reading.fridgeId)
      return changed(lots.map(lot => lot.code), 'fridge', reading.typed, c.value.typed)
    }
    case 'core_reading': {
      const reading = await tables.runReadings.one({ id: c.id }, { lock: true })
      if (!reading || reading.coreC === null) return notFound('no_such_reading')
      const [chamberTyped = '', coreTyped = ''] = reading.typed.split(' | ')
      await tables.runReadings.update(reading.id, { coreC: c.value.tempC, typed: `${chamberTyped} | ${c.value.typed}` })
      const run = (await tables.runs.one({ id: reading.runId }))!
      await checkRun(ctx, run.id, true)
      const { lots } = await lotsOfRun(ctx, run.id)
      return changed([run.code, ...lots.map(lot => lot.code)], run.code, coreTyped, c.value.typed)
    }
    case 'pack_weight': {
      const pack = await tables.packs.one({ id: c.id }, { lock: true })
      if (!pack) return notFound('no_such_pack')
      await tables.packs.update(pack.id, { netG: c.value.netG, netTyped: c.value.typed })
      const lot = (await tables.lots.one({ id: pack.lotId }))!
      return changed([pack.code, lot.code], pack.code, pack.netTyped, c.value.typed)
    }
  }
}

/** Sets a recorded value right. Both values, who and why stay in the book; verdicts that rest on it are given again. */
export async function correct(ctx: WriteContext, input: CorrectionInput): Promise<Answer<object>> {
  const done = await apply(ctx, input)
  if (!done.ok) return done
  const { subjects, ...computed } = done.value
  recordEvent(ctx, { kind: 'corrected', subjects, typed: input, computed: { what: input.what, ...computed }, reason: input.reason })
  return { ok: true, value: {} }
}
