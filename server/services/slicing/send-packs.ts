import { byId } from '#core/lists/by-id'
import { groupBy } from '#core/lists/group-by'
import type { z } from 'zod'
import type { dispatchInput } from '#shared/contracts/slicing'
import { reasonsOf } from '../book/reasons-of'
import { recordEvent } from '../book/record-event'
import { maturationOf } from '#core/rules/maturation'
import type { RowOf } from '../../db/schema/table-spec'
import type { lots as lotsTable } from '../../db/tables/lots'
import { isLeaf } from '../../db/tables/which-pieces'
import { refuse, type Answer, type Refusal, type WriteContext } from '../context'
import { ruleSetById } from '../rules/rule-sets'
import { lockRows } from '../lock-rows'
import { refuseHeld } from '../holds/holds'
import { refuseResidual } from '../lots/after-rub'
import { refuseDay } from '../refuse-day'
import { shopView } from '../shop/shop-facts'
import { againstPlan, despiteOf } from '../plans/against-plan'
import { partyNamed } from '../store/parties'

/**
 * The pieces that packs are of, by lot and sitting: a pack goes where its own pieces go, one of a piece that is held or was
 * destroyed stays, its sound neighbour does not. One from before slicings named their pieces goes by its lot: null.
 */
async function piecesOfPacks({ tables }: WriteContext, packs: readonly Packed[]) {
  const stepIds = [...new Set(packs.flatMap(pack => pack.stepId ?? []))]
  const steps = await tables.steps.pick(['pieces'], { id: stepIds }, { withVoided: true })
  const piecesOf = new Map(steps.map(step => [step.id, step.pieces]))
  return [...groupBy(packs, pack => `${pack.lotId} ${pack.stepId}`).values()].map(([pack]) => ({
    id: pack!.lotId,
    pieces: pack!.stepId === null ? null : (piecesOf.get(pack!.stepId) ?? null),
  }))
}
interface Packed {
  lotId: number
  stepId: number | null
}

/** A maturation that the lot's row of law asks for is over for the pieces of each pack. */
async function refuseUnmatured(
  { tables, nowMs, zone }: WriteContext,
  lots: readonly RowOf<typeof lotsTable>[],
  theirs: Awaited<ReturnType<typeof piecesOfPacks>>,
): Promise<Refusal | null> {
  for (const lot of lots.filter(one => one.choiceId !== null)) {
    // A verdict from before rows said so keeps its own copy: the set as it is now says it.
    const rules = await ruleSetById(tables, lot.judgement.ruleSetId)
    const rows = rules?.rows.filter(row => row.id === lot.choiceId) ?? []
    if (rows.every(row => row.maturationDays === undefined)) continue
    const pieces = await tables.pieces.pick(['outAtMs', 'goneWhy'], { lotId: lot.id })
    const named = theirs.filter(one => one.id === lot.id).flatMap(one => one.pieces ?? pieces.filter(isLeaf).map(piece => piece.id))
    const found = maturationOf(rows, pieces.filter(piece => named.includes(piece.id)).map(piece => piece.outAtMs))
    if (found && (found.fromMs === null || nowMs < found.fromMs))
      return refuse('not_matured', { code: lot.code, days: found.days, fromMs: found.fromMs ?? 0, zone, source: found.source })
  }
  return null
}

/**
 * Packs go out to a customer. Not from a held lot, not before the shop has confirmed its rules, and not before it is
 * shown what is left where the law counts the residue.
 */
export async function sendPacks(
  ctx: WriteContext,
  input: z.output<typeof dispatchInput>,
): Promise<Answer<{ packs: number; noContact: boolean }>> {
  if ((await shopView(ctx.tables)).confirmed === null) return refuse('rules_not_confirmed')
  const codes = [...new Set(input.packCodes)]
  const known = await ctx.tables.packs.pick(['lotId'], { code: codes })
  await lockRows(ctx.tables, { lots: known.map(pack => pack.lotId) })
  const packs = await ctx.tables.packs.find({ code: codes }, { lock: true, order: [['id', 'ASC']] })
  const missing = codes.find(code => !packs.some(pack => pack.code === code))
  if (missing) return refuse('no_such_pack', { code: missing }, ['packCodes'])
  const gone = packs.find(pack => pack.dispatchId !== null)
  if (gone) return refuse('already_sent', { code: gone.code }, ['packCodes'])
  const returns = await ctx.tables.packReturns.find({ packId: packs.map(pack => pack.id) })
  const back = returns.find(one => one.disposition !== 'release')
  if (back) {
    const { code } = byId(packs, 'pack')(back.packId)
    return refuse(back.disposition === 'destroy' ? 'pack_destroyed' : 'pack_came_back', { code }, ['packCodes'])
  }
  const newest = packs.reduce((a, b) => (b.packedOn > a.packedOn ? b : a))
  const wrongDay = refuseDay(ctx, input.sentOn, { code: newest.code, day: newest.packedOn }, ['sentOn'])
  if (wrongDay) return wrongDay
  const lots = await ctx.tables.lots.find({ id: [...new Set(packs.map(pack => pack.lotId))] })
  const theirs = await piecesOfPacks(ctx, packs)
  for (const { id, pieces } of theirs) {
    const held = await refuseHeld(ctx, lots.filter(lot => lot.id === id), pieces, { sending: true })
    if (!held.ok) return { ...held, path: ['packCodes'] }
  }
  const asked = await againstPlan(ctx, theirs, {
    deed: 'send',
    atMs: ctx.nowMs,
    despite: input.despite,
    path: ['packCodes'],
  })
  if (asked.refused) return asked.refused
  const unmatured = await refuseUnmatured(ctx, lots, theirs)
  if (unmatured) return { ...unmatured, path: ['packCodes'] }
  const tested = await refuseResidual(ctx, lots)
  if (!tested.ok) return { ...tested, path: ['packCodes'] }
  const customerId = await partyNamed(ctx.tables, 'customer', input.customer)
  const dispatchId = await ctx.tables.dispatches.insert({
    customerId,
    sentOn: input.sentOn,
    sentAtMs: ctx.nowMs,
    sentById: ctx.actor.id,
  })
  for (const pack of packs) await ctx.tables.packs.update(pack.id, { dispatchId })
  recordEvent(ctx, {
    kind: 'sent',
    subjects: [...codes, ...lots.map(lot => lot.code)],
    typed: input,
    computed: { dispatchId },
    ...reasonsOf(despiteOf(asked.against, input.despite)),
  })
  // Should they have to come back, somebody must be told.
  const party = await ctx.tables.parties.the({ id: customerId })
  return { ok: true, value: { packs: packs.length, noContact: !party.contact } }
}
