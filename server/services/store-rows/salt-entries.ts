import { atKey } from '#core/lists/at-key'
import { UNKNOWN_READABILITY_G } from '#core/rules/house'
import type { SaltEntry } from '#core/ledger/salt-ledger'
import { groupBy } from '#core/lists/group-by'
import type { Grams } from '#core/units/quantities'
import type { RowOf } from '../../db/schema/table-spec'
import type { ingredientLots } from '../../db/tables/store'
import type { Tables } from '../../db/database'
import { KeptAccounts } from './kept-accounts'

/** What an entry is about, beside its grams. */
export interface EntrySource {
  lot: string | null
  reason: string | null
  byId: number
  typed: string
  scaleId: number | null
}

type IngredientRow = RowOf<typeof ingredientLots>
type Entry = SaltEntry & EntrySource

const received = (lot: IngredientRow): Entry => ({
  kind: 'received',
  atMs: lot.receivedAtMs,
  massG: lot.amountG,
  lot: null,
  reason: null,
  byId: lot.receivedById,
  typed: lot.amountTyped,
  scaleId: null,
})

/** Rubbed into lots, each with the account it came from. */
const intoLots = async (tables: Tables, ingredientLotIds: number[]) =>
  (await tables.thread.usesOf(ingredientLotIds)).map(({ ingredientLotId, code, ...use }): [number, Entry] => [
    ingredientLotId,
    { ...use, kind: 'used', lot: code, reason: null },
  ])

type ReadabilityOf = (scaleId: number | null) => Grams

async function intoMixes(tables: Tables, ingredientLotId: number[], readabilityG: ReadabilityOf) {
  const parts = await tables.mixParts.find({ ingredientLotId })
  const mixes = await tables.ingredientLots.pick(['code'], { id: [...new Set(parts.map(part => part.mixLotId))] })
  const codeOf = new Map(mixes.map(row => [row.id, row.code]))
  return parts.map(({ ingredientLotId: from, mixLotId, atMs, massG, scaleId, byId, typed }): [number, Entry] => [
    from,
    {
      kind: 'used',
      atMs,
      massG,
      readabilityG: readabilityG(scaleId),
      lot: atKey(codeOf, mixLotId),
      reason: null,
      byId,
      typed,
      scaleId,
    },
  ])
}

async function moved(tables: Tables, ingredientLotId: number[], readabilityG: ReadabilityOf) {
  const moves = await tables.stockMoves.find({ ingredientLotId })
  return moves.map((move): [number, Entry] => {
    const { kind, atMs, massG, countedG, scaleId, reason, byId, typed } = move
    const source = { lot: null, reason, byId, typed, scaleId, atMs, readabilityG: readabilityG(scaleId) }
    return [
      move.ingredientLotId,
      kind === 'count' ? { ...source, kind, countedG: countedG! } : { ...source, kind, massG },
    ]
  })
}

const kept = new KeptAccounts<Entry[]>()

/** Everything that happened to each ingredient lot's grams, in order of time, by the lot's id. */
export const saltEntries = (tables: Tables, salts: readonly IngredientRow[]): Promise<Map<number, Entry[]>> =>
  kept.of(tables, salts, lots => readEntries(tables, lots))

async function readEntries(tables: Tables, salts: readonly IngredientRow[]): Promise<Map<number, Entry[]>> {
  const ids = salts.map(lot => lot.id)
  const scales = await tables.instruments.pick(['readability'], { kind: 'scale' })
  const readabilityG: ReadabilityOf = scaleId =>
    scales.find(scale => scale.id === scaleId)?.readability ?? UNKNOWN_READABILITY_G
  const entries = groupBy(
    (
      await Promise.all([
        intoLots(tables, ids),
        intoMixes(tables, ids, readabilityG),
        moved(tables, ids, readabilityG),
      ])
    ).flat(),
    ([id]) => id,
  )
  const sorted = (id: number) =>
    (entries.get(id) ?? []).map(([, entry]) => entry).toSorted((a, b) => a.atMs - b.atMs)
  return new Map(salts.map(lot => [lot.id, [received(lot), ...sorted(lot.id)]]))
}
