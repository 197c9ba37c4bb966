import { pieceName } from '#core/life/parts'
import { sumOf } from '#core/lists/sum-of'
import type { z } from 'zod'
import type { slicingInput } from '#shared/contracts/slicing'
import { nextCodes } from '../book/next-code'
import { reasonsOf } from '../book/reasons-of'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { holdLot, refuseHeld } from '../holds/holds'
import { refuseUnchecked } from '../checks/check-lists'
import { laySteps } from '../steps/lay-steps'
import { refuseDay } from '../refuse-day'
import { againstPlan, despiteOf, keptAgainst } from '../plans/against-plan'
import { happenedOf, whenOf } from '../when-told'
import { refuseScale } from '../instruments/read-with'
import { ruleSetById } from '../rules/rule-sets'
import type { RowOf } from '../../db/schema/table-spec'
import type { lots } from '../../db/tables/lots'
import { isLeaf } from '../../db/tables/which-pieces'
import { judgeLotHeats } from '../judging/heat-groups'
import { refuseOver } from './refuse-over'

type Lot = RowOf<typeof lots>
type Piece = Awaited<ReturnType<typeof piecesOf>>[number]
async function piecesOf({ tables }: WriteContext, lotId: number) {
  const columns = ['number', 'part', 'greenG', 'stage', 'goneAtMs'] as const
  const rows = await tables.pieces.pick([...columns, 'goneWhy'], { lotId }, { order: [['number', 'ASC']] })
  return rows.filter(isLeaf)
}

/** The pieces on the table, and those from which something was sliced before. */
async function onTable(ctx: WriteContext, lotId: number, asked: readonly number[] | null) {
  const all = await piecesOf(ctx, lotId)
  const there = all.filter(piece => piece.goneAtMs === null)
  const meant = asked === null ? there : there.filter(piece => asked.includes(piece.id))
  const before = await ctx.tables.steps.pick(['pieces'], { lotId, kind: 'slice' })
  const sliced = new Set(before.flatMap(step => step.pieces))
  return { all, meant, sliced }
}

/** Pieces that cure, or are in a heat or still warm from one, are not sliced; the others of their lot may be. */
async function refuseWarm(ctx: WriteContext, lot: Lot, meant: readonly Piece[]): Promise<Refusal | null> {
  if (meant.some(piece => piece.stage === 'cure')) return refuse('still_curing', { code: lot.code })
  const ids = new Set(meant.map(piece => piece.id))
  for (const { pieceIds, runs, judged } of await judgeLotHeats(ctx.tables, lot, ctx.nowMs)) {
    if (!pieceIds.some(id => ids.has(id))) continue
    const going = runs.find(run => run.pulledAtMs === null)
    if (going) return refuse('still_in_smoke', { code: going.code })
    const [warm] = judged.coolingOpen
    if (warm) return refuse('cooling_open', { code: warm })
  }
  return null
}

/**
 * What the lot weighed ready to slice, with this sitting: pieces that come to the table are weighed once; all of the lot
 * together may be weighed again.
 */
function readyWith(
  { code, readyG, readyTyped }: Lot,
  { readyWeight }: z.output<typeof slicingInput>,
  { isWhole, isFirst }: { isWhole: boolean; isFirst: boolean },
): Answer<Pick<Lot, 'readyG' | 'readyTyped'>> {
  if (!readyWeight) return { ok: true, value: { readyG, readyTyped } }
  const { netG, typed } = readyWeight
  if (isWhole || readyG === null) return { ok: true, value: { readyG: netG, readyTyped: typed } }
  if (!isFirst) return refuse('ready_weight_twice', { code }, ['readyWeight'])
  return { ok: true, value: { readyG: readyG + netG, readyTyped: `${readyTyped}; ${typed}`.slice(-64) } }
}

/**
 * A sitting at the slicing table: which pieces, what they weighed ready to slice, packs with their codes, and what went
 * elsewhere. A lot may come to it in several.
 */
export async function recordSlicing(
  ctx: WriteContext,
  code: string,
  input: z.output<typeof slicingInput>,
): Promise<Answer<{ packCodes: string[] }>> {
  const lot = await ctx.tables.lots.one({ code }, { lock: true })
  if (!lot) return refuse('no_such_lot', { code })
  const when = whenOf(ctx, input)
  if (!when.ok) return when
  const wrongDay = refuseDay(ctx, input.packedOn, { code, day: lot.rubbedOn }, ['packedOn'])
  if (wrongDay) return wrongDay
  const { all, meant, sliced } = await onTable(ctx, lot.id, input.pieces)
  if (input.pieces !== null && meant.length < new Set(input.pieces).size) return refuse('no_such_piece', {}, ['pieces'])
  if (meant.length === 0) return refuse('all_sliced', { code })
  const ids = meant.map(piece => piece.id)
  const held = await refuseHeld(ctx, [lot], input.pieces === null ? null : ids)
  if (!held.ok) return held
  const warm = await refuseWarm(ctx, lot, meant)
  if (warm) return warm
  const unchecked = await refuseUnchecked(ctx, { asked: 'before_slicing', placeId: null }, input.unchecked)
  if (unchecked) return unchecked
  const asked = await againstPlan(ctx, [{ id: lot.id, pieces: ids }], {
    deed: 'slice',
    atMs: when.value,
    despite: input.despite,
    path: ['pieces'],
  })
  if (asked.refused) return asked.refused
  const noScale = await refuseScale(ctx.tables, input.scaleId, ['scaleId'])
  if (noScale) return noScale
  const isFirst = ids.every(id => !sliced.has(id))
  // Only what was weighed as it came to the table is packed: what comes for the first time is weighed.
  const isUnweighed = lot.readyG === null || (sliced.size > 0 && ids.some(id => !sliced.has(id)))
  if (input.packs.length > 0 && input.readyWeight === null && isUnweighed)
    return refuse('ready_weight_missing', {}, ['readyWeight'])
  const ready = readyWith(lot, input, { isWhole: meant.length === all.length, isFirst })
  if (!ready.ok) return ready
  const { readyG } = ready.value
  const { refused, outG, asked: isOver } = await refuseOver(ctx.tables, {
    lot,
    readyG,
    addG: sumOf([...input.packs, ...input.offcuts], part => part.weight.netG),
    readings: input.packs.length + input.offcuts.length,
    sure: input.overWhy !== null,
    path: ['packs'],
  })
  if (refused) return refused
  if (input.readyWeight) await ctx.tables.lots.update(lot.id, ready.value)
  const laid = await laySteps(ctx, lot, [
    {
      kind: 'slice',
      pieces: ids,
      figures: { ...(input.all ? { all: true } : {}), ...keptAgainst(asked.against, lot.id) },
      ...(when.value < ctx.nowMs ? { fromMs: when.value, lateReason: input.lateReason } : {}),
    },
  ])
  if (!laid.ok) return laid
  const [stepId] = laid.value.ids
  const packCodes = await nextCodes(ctx.tables, 'pack', input.packs.length)
  await ctx.tables.packs.insertMany(
    input.packs.map((pack, i) => ({
      code: packCodes[i]!,
      lotId: lot.id,
      kind: pack.kind,
      netG: pack.weight.netG,
      netTyped: pack.weight.typed,
      packedOn: input.packedOn,
      packedAtMs: when.value,
      packedById: ctx.actor.id,
      scaleId: input.scaleId,
      stepId,
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
        atMs: when.value,
        byId: ctx.actor.id,
        stepId,
      }),
    )
  }
  const before = { readyG: lot.readyG, readyTyped: lot.readyTyped }
  recordEvent(ctx, {
    kind: 'sliced',
    subjects: [code, ...packCodes],
    typed: input,
    computed: {
      packCodes,
      outG,
      lotId: lot.id,
      offcutIds,
      before,
      pieces: meant.length < all.length ? meant.map(pieceName) : null,
      ...happenedOf(ctx, when.value),
    },
    ...reasonsOf(input.lateReason, despiteOf(asked.against, input.despite), isOver ? input.overWhy : null),
    steps: laid.value.ids,
  })
  const onScale = new Set([...sliced, ...ids])
  const greenG = sumOf(all.filter(piece => onScale.has(piece.id)), piece => piece.greenG)
  const rules = await ruleSetById(ctx.tables, lot.judgement.ruleSetId)
  if (rules?.bellyNoHeavier && lot.cut === 'belly' && readyG !== null && readyG > greenG) {
    await holdLot(ctx, lot, {
      reason: 'over_green_weight',
      facts: `${readyG} g`,
      figures: { readyG, greenG, source: rules.bellyNoHeavier },
    })
  }
  return { ok: true, value: { packCodes } }
}
