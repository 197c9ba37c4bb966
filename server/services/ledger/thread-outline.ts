import { atKey } from '#core/lists/at-key'
import { groupBy } from '#core/lists/group-by'
import { sumOf } from '#core/lists/sum-of'
import { readCode } from '#core/trace/code'
import type { OutlineRow, ThreadOutline } from '#shared/contracts/thread'
import type { Tables } from '../../db/database'
import type { PackTotal } from '../../db/readers/thread-reader'
import { treesOf } from '../../db/tables/which-pieces'
import { packBundles, type Bundle } from './pack-bundles'

/** More lots than this are told in lists: the lines of their packs would be hundreds. House. */
export const LOTS_DRAWN = 8

/** Packs of lots that stand behind a smoke though not all of their lot was in it; null where the code is no smoke. */
async function partlyBehind(tables: Tables, lotIds: readonly number[], code: string) {
  if (readCode(code)?.kind !== 'run') return null
  const [[run], inRuns, rows] = await Promise.all([
    tables.runs.pick([], { code }),
    tables.thread.runsOf(lotIds),
    tables.pieces.pick(['lotId', 'parentId'], { lotId: lotIds }),
  ])
  const wasIn = new Set(inRuns.filter(row => row.runId === run!.id).map(row => row.pieceId))
  const treeOf = treesOf(rows)
  const isWhole = (lotId: number) => {
    const tree = treeOf(lotId)
    return tree.leaves.every(leaf => tree.withAncestors([leaf]).some(id => wasIn.has(id)))
  }
  const partly = lotIds.filter(lotId => !isWhole(lotId))
  const bundles = partly.length ? await packBundles(tables, partly, code, { inRuns, partyCode: String }) : []
  return { partly: new Set(partly), bundles: bundles.filter(bundle => bundle.runIds.includes(run!.id)) }
}

const totalsBy = (bundles: readonly Bundle[], of: 'lotId' | 'customerId'): PackTotal[] =>
  [...groupBy(bundles, bundle => bundle[of]).entries()].map(([id, some]) => {
    const nodes = some.map(bundle => bundle.node(''))
    return { id, packs: sumOf(nodes, node => node.packs ?? 0), massG: sumOf(nodes, node => node.massG ?? 0) }
  })
const merged = (totals: readonly PackTotal[]): PackTotal[] =>
  [...groupBy(totals, total => total.id).entries()].map(([id, some]) => ({
    id,
    packs: sumOf(some, one => one.packs),
    massG: sumOf(some, one => one.massG),
  }))

/** Packs of lots by lot and by who has them; of a smoke those alone that came out of it. */
async function totalsOf(tables: Tables, lotIds: readonly number[], code: string) {
  const { partly, bundles } = (await partlyBehind(tables, lotIds, code)) ?? { partly: new Set<number>(), bundles: [] }
  const { byLot, byCustomer } = await tables.thread.packTotalsOf(lotIds.filter(id => !partly.has(id)))
  return {
    byLot: [...byLot, ...totalsBy(bundles, 'lotId')],
    byCustomer: merged([...byCustomer, ...totalsBy(bundles, 'customerId')]),
  }
}

/**
 * The lots of a thread, newest first, and who has how many packs of them, most first. No gram is counted twice or left
 * out; of a lot that was in a smoke in part only the packs behind which it stands count.
 */
export async function threadOutline(tables: Tables, lotIds: readonly number[], code: string): Promise<ThreadOutline> {
  const [lots, held, { byLot, byCustomer }] = await Promise.all([
    tables.lots.pick(['code', 'cut'], { id: lotIds }, { order: [['id', 'DESC']] }),
    tables.holds.pick(['lotId'], { lotId: lotIds, disposition: null }),
    totalsOf(tables, lotIds, code),
  ])
  const parties = await tables.parties.pick(['name'], { id: byCustomer.flatMap(row => row.id ?? []) })
  const names = new Map(parties.map(party => [party.id, party.name]))
  const [ofLot, heldLots] = [new Map(byLot.map(row => [row.id, row])), new Set(held.map(hold => hold.lotId))]
  const none = { packs: 0, massG: 0 }
  const sums = ({ packs, massG } = none) => ({ packs, massG })
  return {
    lots: lots.map((lot): OutlineRow => ({
      code: lot.code,
      title: lot.cut,
      held: heldLots.has(lot.id),
      ...sums(ofLot.get(lot.id)),
    })),
    customers: byCustomer
      .flatMap((row): OutlineRow[] =>
        row.id === null ? [] : [{ code: `party-${row.id}`, title: atKey(names, row.id), held: false, ...sums(row) }],
      )
      .toSorted((a, b) => b.massG - a.massG),
    unsent: sums(byCustomer.find(row => row.id === null)),
  }
}
