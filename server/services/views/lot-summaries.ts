import { atKey } from '#core/lists/at-key'
import type { Milliseconds } from '#core/units/quantities'
import { sumOf } from '#core/lists/sum-of'
import { heldPieces, stopsLot } from '#core/lots/stops-lot'
import { groupBy } from '#core/lists/group-by'
import type { Judgement } from '#shared/contracts/judgement'
import type { JudgementBrief, LotSummary } from '#shared/contracts/lots'
import type { RowOf } from '../../db/schema/table-spec'
import type { lots } from '../../db/tables/lots'
import { isLeaf, treesOf } from '../../db/tables/which-pieces'
import type { Tables } from '../../db/database'
import { doneSteps, SHOWN_KINDS } from '../steps/done-steps'
import { greensOf, ofParts } from '../steps/of-parts'
import { lastFeelOf, turnsOf } from '../steps/lot-now'
import { lotPlans } from '../plans/lot-plans'
import { PIECE_SHOWN, pieceView } from './piece-views'
import { waitingForSecond } from '#core/lots/second-due'
import { lostPacks } from '../store-rows/lost-packs'
import { heatsOfLots } from '../judging/heats-of-lots'

/** The columns of a lot that its summary is made of. */
export const LOT_SHOWN = [
  'code', 'cut', 'rind', 'saltOnly', 'method', 'firstShare', 'fridgeId', 'rubbedAtMs', 'rubbedOn', 'zone', 'rubbedById',
  'thicknessMm', 'readyFromDay', 'bestByDay', 'turnEveryDays', 'turnBy', 'drainedAtMs', 'cureEndedAtMs', 'readyG', 'judgement',
  'contradictions',
] as const
export type LotShown = { id: number } & Pick<RowOf<typeof lots>, (typeof LOT_SHOWN)[number]>

/** What a small beam shows of a verdict; one from before the least that stayed was worked out shows none. */
export const brief = ({ status, meaning, lot, maxPpm, floorPpm, stayed }: Judgement): JudgementBrief => ({
  status,
  meaning,
  lot,
  maxPpm,
  floorPpm,
  leastPpm: stayed?.leastPpm ?? null,
})

/** Held twice for one reason, of two stretches, it says so once. */
const reasonsOf = <R>(holds: readonly { reason: R }[]): R[] => [...new Set(holds.map(hold => hold.reason))]

/** Lots with everything the rooms ask of them, in the order of the rows given. */
export async function lotSummaries(tables: Tables, rows: readonly LotShown[], nowMs: Milliseconds): Promise<LotSummary[]> {
  const lotId = rows.map(row => row.id)
  const sliced = rows.filter(row => row.readyG !== null).map(row => row.id)
  const twice = rows.filter(row => row.method === 'two_applications').map(row => row.id)
  // Sorted here: the database sorts rows with texts in them through a table of its own.
  const allPieces = tables.pieces
    .pick([...PIECE_SHOWN, 'lotId', 'meatLotId'], { lotId })
    .then(found => found.toSorted((a, b) => a.number - b.number || a.id - b.id))
  const allSteps = tables.steps
    .pick(['lotId', 'kind', 'fromAtMs', 'toAtMs', 'byId', 'pieces', 'figures'], { lotId, kind: SHOWN_KINDS })
    .then(found => found.toSorted((a, b) => a.fromAtMs - b.fromAtMs || a.id - b.id))
  const [pieces, steps, heated, meat, plans, holds, packs, unsent, offcuts, fridges, users, seconds] = await Promise.all([
    allPieces,
    allSteps,
    allPieces.then(found => heatsOfLots(tables, rows, found, nowMs)),
    allPieces.then(found => tables.meatLots.pick(['code'], { id: [...new Set(found.map(piece => piece.meatLotId))] })),
    lotPlans(tables, rows),
    tables.holds.pick(['lotId', 'reason', 'disposition', 'pieceIds'], { lotId }),
    tables.packs.totals('lotId', { sum: ['netG'], where: { lotId: sliced } }),
    tables.packs.totals('lotId', { where: { lotId: sliced, dispatchId: null } }),
    tables.offcuts.totals('lotId', { sum: ['massG'], where: { lotId: sliced, atCut: null } }),
    tables.places.pick(['name']),
    tables.users.pick(['initials']),
    tables.lotIngredients.pick(['lotId', 'application'], { lotId: twice, application: 2 }),
  ])
  const second = groupBy(seconds, part => part.lotId)
  const { ofPiece, runs, heatsOf } = heated
  const treeOf = treesOf(pieces)
  const lost = await lostPacks(tables, sliced, holds, treeOf)
  const meatCode = new Map(meat.map(lot => [lot.id, lot.code]))
  const fridgeName = new Map(fridges.map(fridge => [fridge.id, fridge.name]))
  const initials = new Map(users.map(user => [user.id, user.initials]))
  const of = {
    pieces: groupBy(pieces, p => p.lotId),
    steps: groupBy(steps, step => step.lotId),
    holds: groupBy(holds, h => h.lotId),
  }
  return rows.map((lot): LotSummary => {
    const all = of.pieces.get(lot.id) ?? []
    const mine = all.filter(isLeaf)
    const tree = treeOf(lot.id)
    const done = ofParts(of.steps.get(lot.id) ?? [], tree, greensOf(all))
    const held = of.holds.get(lot.id) ?? []
    const { plan, piecePlans } = atKey(plans, lot.id).of(tree)
    const [packed, packsG] = [packs.get(lot.id)?.count ?? 0, packs.get(lot.id)?.sum.netG ?? 0]
    const runIds = new Set(mine.flatMap(piece => (ofPiece.get(piece.id) ?? []).map(row => row.runId)))
    const { groups, coldRuns } = atKey(heatsOf, lot.id)
    const coolingOpen = new Set(groups.flatMap(group => group.coolingOpen))
    const isSliced = new Set(done.flatMap(step => (step.kind === 'slice' ? step.pieces : [])))
    const outG = packsG + (offcuts.get(lot.id)?.sum.massG ?? 0)
    return {
      code: lot.code,
      cut: lot.cut,
      rind: lot.rind,
      saltOnly: lot.saltOnly,
      method: lot.method,
      fridge: atKey(fridgeName, lot.fridgeId),
      fridgeId: lot.fridgeId,
      rubbedAtMs: lot.rubbedAtMs,
      rubbedOn: lot.rubbedOn,
      zone: lot.zone,
      rubbedBy: atKey(initials, lot.rubbedById),
      thicknessMm: lot.thicknessMm,
      readyFromDay: plan.plan.end.fromDay,
      bestByDay: plan.plan.end.toDay,
      turnEveryDays: lot.turnEveryDays,
      turnBy: lot.turnBy,
      drainedAtMs: lot.drainedAtMs,
      cureEndedAtMs: lot.cureEndedAtMs,
      pieces: mine.map(piece => pieceView(piece, atKey(meatCode, piece.meatLotId))),
      greenG: sumOf(all.filter(piece => piece.parentId === null), piece => piece.greenG),
      readyG: lot.readyG,
      secondDue: waitingForSecond(lot, second.get(lot.id) ?? []),
      plan,
      piecePlans,
      turns: turnsOf(done.filter(step => step.kind === 'turn'), initials, mine.length),
      did: doneSteps(done, mine.length),
      lastFeel: lastFeelOf(done.filter(step => step.kind === 'look')),
      judgement: brief(lot.judgement),
      contradictions: lot.contradictions ?? 0,
      openHolds: reasonsOf(held.filter(hold => stopsLot(hold, tree))),
      reworked: reasonsOf(held.filter(hold => hold.disposition === 'reworking')),
      heldPieces: heldPieces(held, tree),
      runs: runs
        .filter(run => runIds.has(run.id))
        .map(run => ({
          code: run.code,
          startedAtMs: run.startedAtMs,
          pulledAtMs: run.pulledAtMs,
          outcome: run.outcome,
          cooled: run.pulledAtMs !== null && !coolingOpen.has(run.code),
          cold: coldRuns.includes(run.code),
          pieces: mine.filter(piece => ofPiece.get(piece.id)?.some(row => row.runId === run.id)).length,
        })),
      leftG: lot.readyG === null ? null : mine.every(piece => piece.goneAtMs !== null) ? 0 : Math.max(0, lot.readyG - outG),
      unsliced: mine.filter(piece => piece.goneAtMs === null && !isSliced.has(piece.id)).length,
      packsG,
      packs: packed,
      unsent: (unsent.get(lot.id)?.count ?? 0) - (lost.get(lot.id)?.length ?? 0),
    }
  })
}
