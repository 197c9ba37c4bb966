import { sumOf } from '#core/lists/sum-of'
import type { Grams } from '#core/units/quantities'
import { isPastDate } from '#core/store/past-date'
import { TWO_SCALES_SHARE } from '#core/rules/house'
import type { RubInput } from '#shared/contracts/rub'
import { ROLE_OF_KIND, type MixRole } from '#shared/contracts/store'
import type { RowOf } from '../../db/schema/table-spec'
import type { ingredientLots } from '../../db/tables/store'
import type { Tables } from '../../db/database'
import { refuse, type Answer, type FieldPath, type Refusal } from '../context'
import { ingredientLeftG } from '../store-rows/stock'

export interface IngredientPart {
  role: MixRole
  lot: RowOf<typeof ingredientLots>
  weighedG: Grams
  weighedTyped: string
  /** A seasoning's place in the input; null for the others. */
  seasoning: number | null
}
/** Something that goes on, as it was asked for. */
export interface AskedPart {
  /** What it must be; null: anything that goes into a cure. */
  role: MixRole | null
  lotCode: string
  /** Null: it went on without being weighed. */
  weighed: { netG: Grams; typed: string } | null
  path: (string | number)[]
  seasoning: number | null
}

const askedOf = (
  input: Pick<RubInput, 'agent' | 'salt' | 'sugar'> & Partial<Pick<RubInput, 'seasonings'>>,
): AskedPart[] => [
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

/** What of the store was asked for: see `findAsked`. */
export const findIngredients = (
  tables: Tables,
  input: Parameters<typeof askedOf>[0],
  today: string,
): Promise<Answer<IngredientPart[]>> => findAsked(tables, askedOf(input), today)

/** What speaks against a lot of the store: said before it goes on. */
function refuseKind(lot: RowOf<typeof ingredientLots>, role: MixRole, today: string, path: FieldPath): Refusal | null {
  const { code, name } = lot
  if (lot.iodised) return refuse('salt_iodised', { code, name }, path)
  return role !== 'agent' && isPastDate(lot, today)
    ? refuse('ingredient_expired', { code, name, bestBefore: lot.bestBefore! }, path)
    : null
}

/**
 * What was weighed, from lots in the store: of the right kind, in date, not iodised, with enough left of each. Locked,
 * so that two benches cannot both take the last of a lot. `done`: it lies on the meat already, and is told as it was.
 */
export async function findAsked(
  tables: Tables,
  asked: readonly AskedPart[],
  today: string,
  { done = false } = {},
): Promise<Answer<IngredientPart[]>> {
  const code = [...new Set(asked.map(one => one.lotCode))]
  const lots = await tables.ingredientLots.find({ code }, { lock: true, order: [['id', 'ASC']] })
  const parts: IngredientPart[] = []
  const takenG = new Map<number, number>()
  for (const { role: wanted, lotCode, weighed, path, seasoning } of asked) {
    const at = [...path, 'lotCode']
    const lot = lots.find(one => one.code === lotCode)
    if (!lot) return refuse('no_such_ingredient', { code: lotCode }, at)
    const role = ROLE_OF_KIND[lot.kind]
    // Any number of sugars: the others are told beside the first, as seasonings are.
    const fits = wanted === null || role === wanted || (seasoning !== null && role === 'sugar')
    if (!fits)
      return refuse('wrong_ingredient', { code: lot.code, name: lot.name }, at)
    const refused = done ? null : refuseKind(lot, role, today, at)
    if (refused) return refused
    const massG = weighed?.netG ?? 0
    const wantedG = massG + (takenG.get(lot.id) ?? 0)
    takenG.set(lot.id, wantedG)
    const leftG = await ingredientLeftG(tables, lot)
    if (wantedG > leftG + lot.amountG * TWO_SCALES_SHARE) {
      return refuse('ingredient_used_up', { code: lot.code, leftG: Math.max(0, leftG) }, [...path, 'weighed'])
    }
    parts.push({ role, lot, weighedG: massG, weighedTyped: weighed?.typed ?? '', seasoning })
  }
  return { ok: true, value: parts }
}

export const massOf = (parts: readonly IngredientPart[], role: MixRole): number =>
  sumOf(parts.filter(part => part.role === role), part => part.weighedG)
