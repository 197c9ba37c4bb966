import { SLICED_OVER_SHARE } from '#core/rules/house'
import type { z } from 'zod'
import type { slicingInput } from '#shared/contracts/slicing'
import { nextCodes } from '../book/next-code'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { holdLot, refuseHeld } from '../holds/holds'
import { refuseUnchecked } from '../checks/check-lists'
import { laySteps } from '../life/lay-steps'
import { refuseScale } from '../instruments/read-with'
import { ruleSetById } from '../rules/rule-sets'
import { lotSummaries } from '../lots/lot-summaries'

/** Slicing: the weight ready to slice, packs with their codes, and what went elsewhere. */
export async function recordSlicing(
  ctx: WriteContext,
  code: string,
  input: z.output<typeof slicingInput>,
): Promise<Answer<{ packCodes: string[] }>> {
  const lot = await ctx.tables.lots.one({ code }, { lock: true })
  if (!lot) return refuse('no_such_lot', { code })
  const held = await refuseHeld(ctx, [lot])
  if (!held.ok) return held
  const summary = (await lotSummaries(ctx.tables, [lot], ctx.nowMs))[0]!
  if (summary.cureEndedAtMs === null) return refuse('still_curing', { code })
  const smoking = summary.runs.find(run => run.pulledAtMs === null)
  if (smoking) return refuse('still_in_smoke', { code: smoking.code })
  const warm = summary.runs.find(run => !run.cooled)
  if (warm) return refuse('cooling_open', { code: warm.code })
  const unchecked = await refuseUnchecked(ctx, { asked: 'before_slicing', placeId: null }, input.unchecked)
  if (unchecked) return unchecked
  const noScale = await refuseScale(ctx.tables, input.scaleId, ['scaleId'])
  if (noScale) return noScale
  const readyG = input.readyWeight?.netG ?? summary.readyG
  if (input.packs.length > 0 && readyG === null) return refuse('ready_weight_missing', {}, ['readyWeight'])
  const outG
    = [...input.packs, ...input.offcuts].reduce((sum, part) => sum + part.weight.netG, 0)
      + summary.packsG
      + (await ctx.tables.offcuts.sum('massG', { lotId: lot.id }))
  if (readyG !== null && outG > readyG * (1 + SLICED_OVER_SHARE)) return refuse('packs_over_weight', { outG, readyG }, ['packs'])

  if (input.readyWeight)
    await ctx.tables.lots.update(lot.id, { readyG: input.readyWeight.netG, readyTyped: input.readyWeight.typed })
  const packCodes = await nextCodes(ctx.tables, 'pack', input.packs.length)
  await ctx.tables.packs.insertMany(
    input.packs.map((pack, i) => ({
      code: packCodes[i]!,
      lotId: lot.id,
      kind: pack.kind,
      netG: pack.weight.netG,
      netTyped: pack.weight.typed,
      packedOn: input.packedOn,
      packedAtMs: ctx.nowMs,
      packedById: ctx.actor.id,
      scaleId: input.scaleId,
    })),
  )
  const offcutIds: number[] = []
  for (const { kind, weight } of input.offcuts) {
    offcutIds.push(
      await ctx.tables.offcuts.insert({
        lotId: lot.id,
        kind,
        massG: weight.netG,
        massTyped: weight.typed,
        atMs: ctx.nowMs,
        byId: ctx.actor.id,
      }),
    )
  }
  const laid = await laySteps(ctx, lot, [{ kind: 'slice', pieces: 'all', figures: {} }])
  if (!laid.ok) return laid
  const before = { readyG: lot.readyG, readyTyped: lot.readyTyped }
  recordEvent(ctx, {
    kind: 'sliced',
    subjects: [code, ...packCodes],
    typed: input,
    computed: { packCodes, outG, lotId: lot.id, offcutIds, before },
    steps: laid.value.ids,
  })
  const rules = await ruleSetById(ctx.tables, lot.judgement.ruleSetId)
  if (rules?.bellyNoHeavier && lot.cut === 'belly' && readyG !== null && readyG > summary.greenG) {
    await holdLot(ctx, lot, {
      reason: 'over_green_weight',
      facts: `${readyG} g`,
      figures: { readyG, greenG: summary.greenG, source: rules.bellyNoHeavier },
    })
  }
  return { ok: true, value: { packCodes } }
}
