import { withoutOffset } from '#core/instruments/check-instrument'
import { pieceLabel, pieceTree } from '#core/life/parts'
import type { CorrectionInput } from '#shared/contracts/corrections'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { refuseOver } from '../slicing/refuse-over'
import { lockRows } from '../lock-rows'
import { judgePlaces } from '../judging/judge-places'
import { lotsThatLay } from '../steps/lots-that-lay'
import { checkRun, lotsOfRun } from '../judging/check-run'
import { correctAgent } from './correct-agent'
import { correctDrained, correctHour } from './correct-step'
import { rejudge } from '../judging/rejudge'
import { partyNamed } from '../store/parties'
import type { Changed } from './changed'

/** Parts have their shares of what was weighed: another weight gives each another share. */
async function keepParts({ tables }: WriteContext, piece: { id: number; lotId: number; greenG: number }, greenG: number): Promise<void> {
  const rows = await tables.pieces.pick(['parentId', 'greenG'], { lotId: piece.lotId })
  const tree = pieceTree(rows)
  for (const row of rows)
    if (row.id !== piece.id && tree.withAncestors([row.id]).includes(piece.id))
      await tables.pieces.update(row.id, { greenG: (row.greenG * greenG) / piece.greenG })
}

async function apply(ctx: WriteContext, c: CorrectionInput): Promise<Answer<Changed>> {
  const { tables } = ctx
  const changed = (subjects: string[], about: string, from: string, to: string) => ({
    ok: true as const,
    value: { subjects, about, from, to },
  })
  switch (c.what) {
    case 'meat_weight':
    case 'meat_supplier_lot': {
      const meat = await tables.meatLots.one({ code: c.code }, { lock: true })
      if (!meat) return refuse('no_such_meat', { code: c.code })
      if (c.what === 'meat_supplier_lot') {
        await tables.meatLots.update(meat.id, { supplierLot: c.value })
        return changed([meat.code], meat.code, meat.supplierLot, c.value)
      }
      await tables.meatLots.update(meat.id, { weightG: c.value.netG, weightTyped: c.value.typed })
      return changed([meat.code], meat.code, meat.weightTyped, c.value.typed)
    }
    case 'piece_weight': {
      const known = await tables.pieces.one({ id: c.id })
      await lockRows(tables, known ? { meatLots: [known.meatLotId], lots: [known.lotId] } : {})
      const piece = await tables.pieces.one({ id: c.id }, { lock: true })
      if (!piece) return refuse('no_such_piece')
      if (piece.parentId !== null) return refuse('part_weight', { part: pieceLabel(piece) })
      await keepParts(ctx, piece, c.value.netG)
      await tables.pieces.update(piece.id, {
        greenG: c.value.netG,
        greenTyped: c.value.typed,
        readings: c.value.readings,
      })
      await rejudge(ctx, piece.lotId)
      const lot = await tables.lots.the({ id: piece.lotId })
      return changed([lot.code], `${lot.code} / ${piece.number}`, piece.greenTyped, c.value.typed)
    }
    case 'ingredient_weighed': {
      const known = await tables.lotIngredients.one({ id: c.id })
      await lockRows(tables, known ? { lots: [known.lotId], ingredientLots: [known.ingredientLotId] } : {})
      const part = await tables.lotIngredients.one({ id: c.id }, { lock: true })
      if (!part) return refuse('no_such_entry')
      await tables.lotIngredients.update(part.id, {
        weighedG: c.value.netG,
        weighedTyped: c.value.typed,
        unweighed: null,
      })
      await rejudge(ctx, part.lotId)
      const [lot, ingredient] = await Promise.all([
        tables.lots.one({ id: part.lotId }),
        tables.ingredientLots.one({ id: part.ingredientLotId }),
      ])
      return changed(
        [lot!.code, ingredient!.code],
        `${lot!.code}, ${ingredient!.name}`,
        part.unweighed ? 'not weighed' : part.weighedTyped,
        c.value.typed,
      )
    }
    case 'agent_used':
      return await correctAgent(ctx, c)
    case 'fridge_reading': {
      const known = await tables.placeReadings.one({ id: c.id })
      await lockRows(tables, known ? { places: [known.placeId] } : {})
      const lots = known ? await lotsThatLay(tables, known.placeId, { lock: true }) : []
      const reading = await tables.placeReadings.one({ id: c.id }, { lock: true })
      if (!reading || reading.typed === null) return refuse('no_such_reading')
      await tables.placeReadings.update(reading.id, {
        tempC: withoutOffset(c.value.tempC, reading.offsetC),
        typed: c.value.typed,
      })
      await judgePlaces(ctx, lots)
      const place = await tables.places.the({ id: reading.placeId })
      return changed(
        lots.map(lot => lot.code),
        place.name,
        reading.typed,
        c.value.typed,
      )
    }
    case 'core_reading': {
      const known = await tables.runReadings.one({ id: c.id })
      if (known) await lockRows(tables, { lots: (await lotsOfRun(ctx, known.runId)).lots.map(lot => lot.id) })
      const reading = await tables.runReadings.one({ id: c.id }, { lock: true })
      if (!reading || reading.coreC === null) return refuse('no_such_reading')
      const [chamberTyped = '', coreTyped = ''] = reading.typed.split(' | ')
      await tables.runReadings.update(reading.id, {
        coreC: withoutOffset(c.value.tempC, reading.coreOffsetC),
        typed: `${chamberTyped} | ${c.value.typed}`,
      })
      const run = await tables.runs.the({ id: reading.runId })
      await checkRun(ctx, run.id, { again: true })
      const { lots } = await lotsOfRun(ctx, run.id)
      return changed([run.code, ...lots.map(lot => lot.code)], run.code, coreTyped, c.value.typed)
    }
    case 'step_hour':
      return await correctHour(ctx, c.id, c.value)
    case 'step_drained':
      return await correctDrained(ctx, c.id, c.value)
    case 'pack_customer': {
      const known = await tables.packs.one({ id: c.id })
      await lockRows(tables, known ? { lots: [known.lotId], packs: [known.id] } : {})
      const pack = await tables.packs.one({ id: c.id })
      const sent = pack && pack.dispatchId !== null ? await tables.dispatches.one({ id: pack.dispatchId }) : null
      if (!pack || !sent) return refuse('no_such_entry')
      const before = await tables.parties.the({ id: sent.customerId })
      const customerId = await partyNamed(tables, 'customer', c.value)
      // The sending stays as it was told; this pack was in another.
      const { sentOn, sentAtMs, sentById } = sent
      const dispatchId = await tables.dispatches.insert({ customerId, sentOn, sentAtMs, sentById })
      await tables.packs.update(pack.id, { dispatchId })
      const lot = await tables.lots.the({ id: pack.lotId })
      return changed([pack.code, lot.code], `the customer of ${pack.code}`, before.name, c.value)
    }
    case 'pack_weight': {
      const known = await tables.packs.one({ id: c.id })
      await lockRows(tables, known ? { lots: [known.lotId], packs: [known.id] } : {})
      const pack = await tables.packs.one({ id: c.id })
      if (!pack) return refuse('no_such_entry')
      const lot = await tables.lots.the({ id: pack.lotId })
      const addG = c.value.netG - pack.netG
      const out = { lot, readyG: lot.readyG, addG, readings: 0, sure: c.sure, path: ['value'] }
      const { refused } = addG > 0 ? await refuseOver(tables, out) : { refused: null }
      if (refused) return refused
      await tables.packs.update(pack.id, { netG: c.value.netG, netTyped: c.value.typed })
      return changed([pack.code, lot.code], pack.code, pack.netTyped, c.value.typed)
    }
  }
}

/** Sets a recorded value right. Both values, who and why stay in the book; verdicts that rest on it are given again. */
export async function correct(ctx: WriteContext, input: CorrectionInput): Promise<Answer<object>> {
  const done = await apply(ctx, input)
  if (!done.ok) return done
  const { subjects, ...computed } = done.value
  recordEvent(ctx, {
    kind: 'corrected',
    subjects,
    typed: input,
    computed: { what: input.what, ...computed },
    reason: input.reason,
  })
  return { ok: true, value: {} }
}
