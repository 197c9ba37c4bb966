import type { Grams } from '#core/units/quantities'
import { TWO_SCALES_SHARE } from '#core/rules/house'
import type { RubInput } from '#shared/contracts/rub'
import { ROLE_OF_KIND, type MixRole } from '#shared/contracts/store'
import type { RowOf } from '../../db/table-spec'
import type { ingredientLots, meatLots } from '../../db/tables/store'
import type { Tables } from '../../db/database'
import { refuse, type Answer } from '../context'
import { ingredientLeftG, meatLeftG } from '../store/stock'

export interface IngredientPart {
  role: MixRole
  lot: RowOf<typeof ingredientLots>
  weighedG: Grams
  weighedTyped: string
  /** A seasoning's place in the input; null for the others. */
  seasoning: number | null
}
export type MeatByCode = Map<string, RowOf<typeof meatLots>>

/** The meat of each piece: it exists, is the cut that the lot says, and there is enough of it. */
export async function findMeat(tables: Tables, input: RubInput): Promise<Answer<MeatByCode>> {
  const codes = [...new Set(input.pieces.map(piece => piece.meatCode))]
  // Locked, so that two benches cannot both take the last of a delivery.
  const found = await tables.meatLots.find({ code: codes }, { lock: true, order: [['id', 'ASC']] })
  const byCode: MeatByCode = new Map(found.map(meat => [meat.code, meat]))
  for (const [i, piece] of input.pieces.entries()) {
    const meat = byCode.get(piece.meatCode)
    const path = ['pieces', i, 'meatCode']
    if (!meat) return refuse('no_such_meat', { code: piece.meatCode }, path)
    if (meat.state !== 'in') return refuse('meat_not_in', { code: meat.code, state: meat.state }, path)
    if (meat.cut !== input.cut) return refuse('cut_mismatch', { code: meat.code, cut: meat.cut }, path)
    if (input.rind === 'on' && meat.rind === 'off') return refuse('rind_mismatch', { code: meat.code }, path)
  }
  for (const meat of found) {
    const leftG = await meatLeftG(tables, meat)
    const wantedG = input.pieces
      .filter(piece => piece.meatCode === meat.code && piece.meatPieceId === null)
      .reduce((sum, piece) => sum + piece.weight.netG, 0)
    if (wantedG > leftG + meat.weightG * TWO_SCALES_SHARE) {
      return refuse('meat_used_up', { code: meat.code, leftG: Math.max(0, leftG), wantedG }, ['pieces'])
    }
  }
  const gone = await refuseCutPieces(tables, input, byCode)
  return gone ?? { ok: true, value: byCode }
}

/**
 * Pieces cut in the Store: of the meat they are said to be, whole, free, used once, and no heavier than they were cut.
 */
async function refuseCutPieces(tables: Tables, input: RubInput, byCode: MeatByCode) {
  const ids = input.pieces.flatMap(piece => piece.meatPieceId ?? [])
  if (ids.length === 0) return null
  const [known, used, divided] = await Promise.all([
    tables.meatPieces.find({ id: ids }, { lock: true }),
    tables.pieces.find({ meatPieceId: ids }),
    tables.cuttings.find({ parentId: ids }),
  ])
  const gone = new Set([...used.map(piece => piece.meatPieceId), ...divided.map(cutting => cutting.parentId)])
  for (const [i, piece] of input.pieces.entries()) {
    if (piece.meatPieceId === null) continue
    const path = ['pieces', i, 'meatPieceId']
    const cut = known.find(one => one.id === piece.meatPieceId && one.meatLotId === byCode.get(piece.meatCode)!.id)
    if (!cut) return refuse('no_such_piece', {}, path)
    if (gone.has(cut.id) || ids.indexOf(cut.id) !== ids.lastIndexOf(cut.id))
      return refuse('piece_gone', { label: cut.label }, path)
    if (piece.weight.netG > cut.massG * (1 + TWO_SCALES_SHARE))
      return refuse('piece_heavier', { label: cut.label, cutG: cut.massG, wantedG: piece.weight.netG }, [
        'pieces',
        i,
        'weight',
      ])
  }
  return null
}

interface Asked {
  role: MixRole
  lotCode: string
  weighed: { netG: Grams; typed: string }
  path: (string | number)[]
  seasoning: number | null
}

const askedOf = (
  input: Pick<RubInput, 'agent' | 'salt' | 'sugar'> & Partial<Pick<RubInput, 'seasonings'>>,
): Asked[] => [
  ...(['agent', 'salt', 'sugar'] as const).flatMap(role =>
    input[role] ? [{ role, ...input[role], path: [role], seasoning: null }] : [],
  ),
  ...(input.seasonings ?? []).map((s, i) => ({
    role: 'spice' as const,
    lotCode: s.lotCode,
    weighed: s.weighed,
    path: ['seasonings', i],
    seasoning: i,
  })),
]

/**
 * What was weighed, from lots in the store: of the right kind, in date, not iodised, with enough left of each. Locked,
 * so that two benches cannot both take the last of a lot.
 */
export async function findIngredients(
  tables: Tables,
  input: Parameters<typeof askedOf>[0],
  today: string,
): Promise<Answer<IngredientPart[]>> {
  const parts: IngredientPart[] = []
  const takenG = new Map<number, number>()
  for (const { role, lotCode, weighed, path, seasoning } of askedOf(input)) {
    const lot = await tables.ingredientLots.one({ code: lotCode }, { lock: true })
    if (!lot) return refuse('no_such_ingredient', { code: lotCode }, [...path, 'lotCode'])
    if (ROLE_OF_KIND[lot.kind] !== role)
      return refuse('wrong_ingredient', { code: lot.code, name: lot.name }, [...path, 'lotCode'])
    if (lot.iodised) return refuse('salt_iodised', { code: lot.code, name: lot.name }, [...path, 'lotCode'])
    if (role !== 'agent' && lot.bestBefore !== null && lot.bestBefore < today)
      return refuse('ingredient_expired', { code: lot.code, name: lot.name, bestBefore: lot.bestBefore }, [
        ...path,
        'lotCode',
      ])
    const wantedG = weighed.netG + (takenG.get(lot.id) ?? 0)
    takenG.set(lot.id, wantedG)
    const leftG = await ingredientLeftG(tables, lot)
    if (wantedG > leftG + lot.amountG * TWO_SCALES_SHARE) {
      return refuse('ingredient_used_up', { code: lot.code, leftG: Math.max(0, leftG) }, [...path, 'weighed'])
    }
    parts.push({ role, lot, weighedG: weighed.netG, weighedTyped: weighed.typed, seasoning })
  }
  return { ok: true, value: parts }
}

export const massOf = (parts: readonly IngredientPart[], role: MixRole): number =>
  parts.filter(part => part.role === role).reduce((sum, part) => sum + part.weighedG, 0)
