import type { RubInput } from '#shared/contracts/lots'
import type { IngredientKind } from '#shared/contracts/store'
import type { RowOf } from '../../db/table'
import type { ingredientLots, meatLots } from '../../db/tables/store'
import type { Tables } from '../../db/store'
import { refuse, type Answer } from '../context'

export type Role = 'agent' | 'salt' | 'sugar'
export interface IngredientPart { role: Role, lot: RowOf<typeof ingredientLots>, weighedG: number, weighedTyped: string }
export type MeatByCode = Map<string, RowOf<typeof meatLots>>

const KIND_OF_ROLE: Record<Role, IngredientKind> = { agent: 'curing_salt', salt: 'salt', sugar: 'sugar' }
/** Two scales may differ by this much over a delivery before the meat cannot be the meat. */
const SCALE_SLACK = 1.02

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
    if (meat.cut !== input.cut) return refuse('cut_mismatch', { code: meat.code, cut: meat.cut }, path)
    if (input.rind === 'on' && meat.rind === 'off') return refuse('rind_mismatch', { code: meat.code }, path)
  }
  for (const meat of found) {
    const usedG = (await tables.pieces.find({ meatLotId: meat.id })).reduce((sum, piece) => sum + piece.greenG, 0)
    const wantedG = input.pieces.filter(piece => piece.meatCode === meat.code).reduce((sum, piece) => sum + piece.weight.netG, 0)
    if (usedG + wantedG > meat.weightG * SCALE_SLACK) {
      return refuse('meat_used_up', { code: meat.code, leftG: Math.max(0, meat.weightG - usedG), wantedG }, ['pieces'])
    }
  }
  return { ok: true, value: byCode }
}

/** What was weighed, from lots in the store of the right kind, with enough left of each. */
export async function findIngredients(tables: Tables, input: RubInput): Promise<Answer<IngredientPart[]>> {
  const parts: IngredientPart[] = []
  for (const role of ['agent', 'salt', 'sugar'] as const) {
    const typed = input[role]
    if (!typed) continue
    const lot = await tables.ingredientLots.one({ code: typed.lotCode }, { lock: true })
    if (!lot) return refuse('no_such_ingredient', { code: typed.lotCode }, [role, 'lotCode'])
    if (lot.kind !== KIND_OF_ROLE[role]) return refuse('wrong_ingredient', { code: lot.code, name: lot.name }, [role, 'lotCode'])
    const usedG = (await tables.lotIngredients.find({ ingredientLotId: lot.id })).reduce((sum, row) => sum + row.weighedG, 0)
    const weighedG = typed.weighed.netG
    if (usedG + weighedG > lot.amountG * SCALE_SLACK) {
      return refuse('ingredient_used_up', { code: lot.code, leftG: Math.max(0, lot.amountG - usedG), wantedG: weighedG }, [role, 'weighed'])
    }
    parts.push({ role, lot, weighedG, weighedTyped: typed.weighed.typed })
  }
  return { ok: true, value: parts }
}
