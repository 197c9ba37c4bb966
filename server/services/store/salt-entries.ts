import { UNKNOWN_READABILITY_G } from '#core/rules/house'
import type { SaltEntry } from '#core/ledger/salt-ledger'
import type { RowOf } from '../../db/table-spec'
import type { ingredientLots } from '../../db/tables/store'
import type { Tables } from '../../db/database'

/** What an entry is about, beside its grams. */
export interface EntrySource {
  lot: string | null
  reason: string | null
  byId: number
  typed: string
  scaleId: number | null
}

/** Everything that happened to an ingredient lot's grams, in order of time. */
export async function saltEntries(
  tables: Tables,
  lot: RowOf<typeof ingredientLots>,
): Promise<(SaltEntry & EntrySource)[]> {
  const [parts, moves, scales, mixed] = await Promise.all([
    tables.lotIngredients.find({ ingredientLotId: lot.id }),
    tables.stockMoves.find({ ingredientLotId: lot.id }),
    tables.instruments.pick(['readability'], { kind: 'scale' }),
    tables.mixParts.find({ ingredientLotId: lot.id }),
  ])
  const lots = new Map(
    (
      await tables.lots.pick(['code', 'rubbedAtMs', 'rubbedById', 'mixReadabilityG', 'mixScaleId'], {
        id: parts.map(part => part.lotId),
      })
    ).map(row => [row.id, row]),
  )
  const readabilityG = (scaleId: number | null) =>
    scales.find(scale => scale.id === scaleId)?.readability ?? UNKNOWN_READABILITY_G
  const received = {
    kind: 'received' as const,
    atMs: lot.receivedAtMs,
    massG: lot.amountG,
    lot: null,
    reason: null,
    byId: lot.receivedById,
    typed: lot.amountTyped,
    scaleId: null,
  }
  const used = parts.map((part) => {
    const into = lots.get(part.lotId)!
    return {
      kind: 'used' as const,
      atMs: part.appliedAtMs ?? into.rubbedAtMs,
      massG: part.weighedG,
      readabilityG: into.mixReadabilityG,
      lot: into.code,
      reason: null,
      byId: into.rubbedById,
      typed: part.weighedTyped,
      scaleId: into.mixScaleId,
    }
  })
  const mixes = new Map(
    (await tables.ingredientLots.pick(['code'], { id: mixed.map(part => part.mixLotId) })).map(row => [
      row.id,
      row.code,
    ]),
  )
  const intoMixes = mixed.map(part => ({
    kind: 'used' as const,
    atMs: part.atMs,
    massG: part.massG,
    readabilityG: readabilityG(part.scaleId),
    lot: mixes.get(part.mixLotId)!,
    reason: null,
    byId: part.byId,
    typed: part.typed,
    scaleId: part.scaleId,
  }))
  const moved = moves.map(({ kind, atMs, massG, countedG, scaleId, reason, byId, typed }) => {
    const source = { lot: null, reason, byId, typed, scaleId, atMs, readabilityG: readabilityG(scaleId) }
    return kind === 'count' ? { ...source, kind, countedG: countedG! } : { ...source, kind, massG }
  })
  return [received, ...[...used, ...intoMixes, ...moved].toSorted((a, b) => a.atMs - b.atMs)]
}
