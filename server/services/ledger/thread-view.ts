import { threadFrom, type ThreadLink } from '#core/trace/thread'
import type { ThreadNodeView, ThreadView } from '#shared/contracts/thread'
import type { Tables } from '../../db/store'
import { notFound, type Answer } from '../context'
import { lotsThrough } from './lots-through'

/**
 * Everything behind and before a code, from suppliers to customers. Only lots that the code itself touches are read, so
 * two lots that share a smoke do not look as if one were in the other's packs.
 */
export async function threadView(tables: Tables, code: string): Promise<Answer<ThreadView>> {
  const lotIds = await lotsThrough(tables, code)
  if (lotIds === null) return notFound('no_such_code', { code })
  const [lots, pieces, used, packs, holds] = await Promise.all([
    tables.lots.find({ id: lotIds }), tables.pieces.find({ lotId: lotIds }), tables.lotIngredients.find({ lotId: lotIds }),
    tables.packs.find({ lotId: lotIds }), tables.holds.find({ lotId: lotIds, disposition: null }),
  ])
  const runPieces = await tables.runPieces.find({ pieceId: pieces.map(piece => piece.id) })
  const own = { code }
  const [meat, direct, runs, dispatches] = await Promise.all([
    tables.meatLots.find({ id: pieces.map(piece => piece.meatLotId) }).then(async rows => rows.length ? rows : tables.meatLots.find(own)),
    tables.ingredientLots.find({ id: used.map(part => part.ingredientLotId) }).then(async rows => rows.length ? rows : tables.ingredientLots.find(own)),
    tables.runs.find({ id: runPieces.map(row => row.runId) }), tables.dispatches.find({ id: packs.flatMap(pack => pack.dispatchId ?? []) }),
  ])
  const mixed = await tables.mixParts.find({ mixLotId: direct.map(lot => lot.id) })
  const known = new Set(direct.map(lot => lot.id))
  const ingredients = [...direct, ...await tables.ingredientLots.find({ id: mixed.map(part => part.ingredientLotId).filter(id => !known.has(id)) })]
  const parties = await tables.parties.find({ id: [...meat, ...ingredients].map(lot => lot.supplierId).concat(dispatches.map(d => d.customerId)) })
  const codeOf = <R extends { id: number, code: string }>(rows: readonly R[], id: number) => rows.find(row => row.id === id)!.code
  const partyCode = (id: number) => `party-${id}`
  const name = (id: number) => parties.find(party => party.id === id)!.name
  const runsOf = (lotId: number) => [...new Set(runPieces
    .filter(row => pieces.some(piece => piece.id === row.pieceId && piece.lotId === lotId)).map(row => codeOf(runs, row.runId)))]

  const nodes: ThreadNodeView[] = [
    ...parties.map(p => ({ code: partyCode(p.id), kind: p.kind, title: p.name, detail: '', massG: null, held: false })),
    ...meat.map(m => ({ code: m.code, kind: 'meat' as const, title: m.cut, detail: `${name(m.supplierId)}, lot ${m.supplierLot}`, massG: m.weightG, held: false })),
    ...ingredients.map(n => ({ code: n.code, kind: 'ingredient' as const, title: n.name, detail: `${name(n.supplierId)}, lot ${n.supplierLot}`, massG: n.amountG, held: false })),
    ...lots.map(lot => ({
      code: lot.code, kind: 'lot' as const, title: lot.cut, detail: `rubbed ${lot.rubbedOn}`,
      massG: pieces.filter(piece => piece.lotId === lot.id).reduce((sum, piece) => sum + piece.greenG, 0), held: holds.some(hold => hold.lotId === lot.id),
    })),
    ...runs.map(run => ({ code: run.code, kind: 'run' as const, title: run.smoker, detail: run.outcome ?? '', massG: null, held: false })),
    ...packs.map(pack => ({ code: pack.code, kind: 'pack' as const, title: pack.kind, detail: `packed ${pack.packedOn}`, massG: pack.netG, held: false })),
  ]
  const links: ThreadLink[] = [
    ...[...meat, ...ingredients].map(lot => ({ from: partyCode(lot.supplierId), to: lot.code })),
    ...pieces.map(piece => ({ from: codeOf(meat, piece.meatLotId), to: codeOf(lots, piece.lotId) })),
    ...used.map(part => ({ from: codeOf(ingredients, part.ingredientLotId), to: codeOf(lots, part.lotId) })),
    ...mixed.map(part => ({ from: codeOf(ingredients, part.ingredientLotId), to: codeOf(ingredients, part.mixLotId) })),
    ...lots.flatMap(lot => runsOf(lot.id).map(run => ({ from: lot.code, to: run }))),
    ...packs.flatMap(pack => (runsOf(pack.lotId).length ? runsOf(pack.lotId) : [codeOf(lots, pack.lotId)]).map(from => ({ from, to: pack.code }))),
    ...packs.flatMap(pack => dispatches.filter(d => d.id === pack.dispatchId).map(d => ({ from: pack.code, to: partyCode(d.customerId) }))),
  ]
  const { back, forth } = threadFrom(code, links)
  const reached = new Set([code, ...back, ...forth])
  const unique = new Map(links.map(link => [`${link.from}>${link.to}`, link]))
  return {
    ok: true,
    value: {
      code, nodes: nodes.filter(node => reached.has(node.code)),
      links: [...unique.values()].filter(link => reached.has(link.from) && reached.has(link.to)),
    },
  }
}
