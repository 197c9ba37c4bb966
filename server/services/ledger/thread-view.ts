import { atKey } from '#core/lists/at-key'
import { readCode } from '#core/trace/code'
import { threadFrom, type ThreadLink } from '#core/trace/thread'
import type { ThreadNodeView, ThreadView } from '#shared/contracts/thread'
import type { Tables } from '../../db/database'
import { refuse, type Answer } from '../context'
import { lotsThrough } from './lots-through'
import { packBundles } from './pack-bundles'
import { LOTS_DRAWN, threadOutline } from './thread-outline'

const partyCode = (id: number): string => `party-${id}`
const byId = <R extends { id: number }>(rows: readonly R[]): Map<number, R> => new Map(rows.map(row => [row.id, row]))

/**
 * What came in: the meat and ingredients of lots, with what bulk mixes were made of; where no lot has any, the code's
 * own.
 */
async function cameIn(tables: Tables, lotIds: readonly number[], code: string, delivered: readonly string[]) {
  const [fromMeat, used] = await Promise.all([
    tables.thread.meatOf(lotIds),
    tables.lotIngredients.pick(['lotId', 'ingredientLotId'], { lotId: lotIds }),
  ])
  const columns = ['code', 'supplierId', 'supplierLot'] as const
  const [meat, direct] = await Promise.all([
    tables.meatLots.pick(
      [...columns, 'cut', 'weightG'],
      fromMeat.length ? { id: [...new Set(fromMeat.map(row => row.meatLotId))] } : { code: [code, ...delivered] },
    ),
    tables.ingredientLots.pick(
      [...columns, 'name', 'amountG'],
      used.length ? { id: [...new Set(used.map(part => part.ingredientLotId))] } : { code },
    ),
  ])
  const mixed = direct.length
    ? await tables.mixParts.pick(['mixLotId', 'ingredientLotId'], { mixLotId: direct.map(lot => lot.id) })
    : []
  const known = byId(direct)
  const more = mixed.map(part => part.ingredientLotId).filter(id => !known.has(id))
  const parts = more.length
    ? await tables.ingredientLots.pick([...columns, 'name', 'amountG'], { id: [...new Set(more)] })
    : []
  return { fromMeat, used, meat, ingredients: [...direct, ...parts], mixed }
}

/** Codes of the cuts that came with a delivery: it has no knot of its own, its thread is theirs. None of another code. */
async function cutsOf(tables: Tables, code: string): Promise<string[]> {
  if (readCode(code)?.kind !== 'delivery') return []
  const delivery = await tables.deliveries.one({ code })
  return delivery ? (await tables.meatLots.pick(['code'], { deliveryId: delivery.id })).map(meat => meat.code) : []
}

/** What was asked for itself, where it came from a supplier: an outline tells no more of what came in. */
async function ownNode(tables: Tables, code: string): Promise<ThreadNodeView[]> {
  const columns = ['code', 'supplierId', 'supplierLot'] as const
  const [[meat], [ingredient]] = await Promise.all([
    tables.meatLots.pick([...columns, 'cut', 'weightG'], { code }),
    tables.ingredientLots.pick([...columns, 'name', 'amountG'], { code }),
  ])
  const lot = meat ?? ingredient
  if (!lot) return []
  const [party] = await tables.parties.pick(['name'], { id: lot.supplierId })
  const detail = `${party!.name}, lot ${lot.supplierLot}`
  return [
    meat
      ? { code, kind: 'meat', title: meat.cut, detail, massG: meat.weightG, held: false }
      : { code, kind: 'ingredient', title: ingredient!.name, detail, massG: ingredient!.amountG, held: false },
  ]
}

/**
 * Everything behind and before a code, from suppliers to customers. Only lots that the code itself touches are read, so
 * two lots that share a smoke do not look as if one were in the other's packs.
 */
export async function threadView(tables: Tables, code: string): Promise<Answer<ThreadView>> {
  const through = await lotsThrough(tables, code)
  if (through === null) return refuse('no_such_code', { code })
  const lotIds = [...new Set(through)]
  const delivered = await cutsOf(tables, code)
  if (lotIds.length > LOTS_DRAWN) {
    const [outline, own] = await Promise.all([threadOutline(tables, lotIds, code), ownNode(tables, code)])
    return { ok: true, value: { code, nodes: own, links: [], outline } }
  }
  const [lots, { fromMeat, used, meat, ingredients, mixed }, inRuns, held] = await Promise.all([
    tables.lots.pick(['code', 'cut', 'rubbedOn'], { id: lotIds }),
    cameIn(tables, lotIds, code, delivered),
    tables.thread.runsOf(lotIds),
    tables.holds.pick(['lotId'], { lotId: lotIds, disposition: null }),
  ])
  const bundles = await packBundles(tables, lotIds, code, { inRuns, partyCode })
  const lot = byId(lots)
  const lotCode = (id: number) => atKey(lot, id).code
  const packs = bundles.map(bundle => ({ ...bundle, node: bundle.node(lotCode(bundle.lotId)) }))
  const [runs, parties] = await Promise.all([
    tables.runs.pick(['code', 'smoker', 'outcome'], { id: [...new Set(inRuns.map(row => row.runId))] }),
    tables.parties.pick(['kind', 'name'], {
      id: [
        ...new Set([
          ...[...meat, ...ingredients].map(row => row.supplierId),
          ...packs.flatMap(pack => pack.customerId ?? []),
        ]),
      ],
    }),
  ])
  const [meatById, ingredientById, run, party] = [byId(meat), byId(ingredients), byId(runs), byId(parties)]
  const heldLots = new Set(held.map(hold => hold.lotId))
  const greenG = new Map<number, number>()
  for (const row of fromMeat) greenG.set(row.lotId, (greenG.get(row.lotId) ?? 0) + row.greenG)
  const nodes: ThreadNodeView[] = [
    ...parties.map(p => ({ code: partyCode(p.id), kind: p.kind, title: p.name, detail: '', massG: null, held: false })),
    ...meat.map(m => ({
      code: m.code,
      kind: 'meat' as const,
      title: m.cut,
      detail: `${atKey(party, m.supplierId).name}, lot ${m.supplierLot}`,
      massG: m.weightG,
      held: false,
    })),
    ...ingredients.map(n => ({
      code: n.code,
      kind: 'ingredient' as const,
      title: n.name,
      detail: `${atKey(party, n.supplierId).name}, lot ${n.supplierLot}`,
      massG: n.amountG,
      held: false,
    })),
    ...lots.map(l => ({
      code: l.code,
      kind: 'lot' as const,
      title: l.cut,
      detail: `rubbed ${l.rubbedOn}`,
      massG: greenG.get(l.id) ?? 0,
      held: heldLots.has(l.id),
    })),
    ...runs.map(r => ({
      code: r.code,
      kind: 'run' as const,
      title: r.smoker,
      detail: r.outcome ?? '',
      massG: null,
      held: false,
    })),
    ...packs.map(pack => pack.node),
  ]
  const links: ThreadLink[] = [
    ...[...meat, ...ingredients].map(row => ({ from: partyCode(row.supplierId), to: row.code })),
    ...fromMeat.map(row => ({ from: atKey(meatById, row.meatLotId).code, to: lotCode(row.lotId) })),
    ...used.map(part => ({ from: atKey(ingredientById, part.ingredientLotId).code, to: lotCode(part.lotId) })),
    ...mixed.map(part => ({
      from: atKey(ingredientById, part.ingredientLotId).code,
      to: atKey(ingredientById, part.mixLotId).code,
    })),
    ...inRuns.map(row => ({ from: lotCode(row.lotId), to: atKey(run, row.runId).code })),
    ...packs.flatMap(({ runIds, lotId, node }) => {
      const behind = runIds.length > 0 ? runIds.map(id => atKey(run, id).code) : [lotCode(lotId)]
      return behind.map(from => ({ from, to: node.code }))
    }),
    ...packs.flatMap(pack =>
      pack.customerId === null ? [] : [{ from: pack.node.code, to: partyCode(pack.customerId) }],
    ),
  ]
  const reached = new Set(
    (delivered.length > 0 ? delivered : [code]).flatMap((from) => {
      const { back, forth } = threadFrom(from, links)
      return [from, ...back, ...forth]
    }),
  )
  const unique = new Map(links.map(link => [`${link.from}>${link.to}`, link]))
  return {
    ok: true,
    value: {
      code,
      nodes: nodes.filter(node => reached.has(node.code)),
      outline: null,
      links: [...unique.values()].filter(link => reached.has(link.from) && reached.has(link.to)),
    },
  }
}
