import { PIECE_RANGE } from '#core/rules/ranges'
import type { Grams } from '#core/units/quantities'
import { isWet } from '#core/cure/cure-method'
import type { FormulateQuestion, Targets } from '#core/cure/formulate'
import { sugarOf, type SeasoningWanted } from '#core/cure/seasoning'
import { shareBySide, type SideShares } from '#core/retained/share-by-side'
import { parseDecimal } from '#core/typed/parse-decimal'
import { parsePercent } from '#core/typed/parse-fraction'
import { parseWeight, type WeightEntry, type WeightRange } from '#core/typed/parse-weight'
import { ROLE_OF_KIND, type IngredientView, type MixRole } from '#shared/contracts/store'
import { isSaltOnly, piecesOfGroup, type BenchDraft, type PieceDraft } from './bench-draft'

export interface ReadPiece extends PieceDraft {
  parsed: WeightEntry | null
}

const NO_LIMITS = { min: 0, max: 1000 }
export const shareOf = (typed: string): number | null => {
  const parsed = parsePercent(typed, NO_LIMITS)
  return parsed.ok ? parsed.value : null
}
export const gramsOf = (typed: string, range: WeightRange): number | null => {
  const parsed = parseWeight(typed, range)
  return parsed.ok ? parsed.value.netG : null
}

/** Pieces with what their weights mean; null where they mean nothing. */
export const readPieces = (draft: BenchDraft): ReadPiece[] =>
  draft.pieces.map((piece) => {
    const parsed = parseWeight(piece.weight, PIECE_RANGE)
    return { ...piece, parsed: parsed.ok ? parsed.value : null }
  })

export function readTargets(draft: BenchDraft): Targets | null {
  const [saltShare, sugarShare] = [shareOf(draft.saltShare), shareOf(draft.sugarShare)]
  return saltShare === null || sugarShare === null
    ? null
    : { saltShare, sugarShare, saltBasis: draft.saltBasis, nitritePpm: draft.targetPpm }
}

/**
 * Lots of the store that can do a job and have something left: in date first, of curing agents no. 1 before the rest,
 * and what keeps least first.
 */
export const lotsFor = (ingredients: readonly IngredientView[], role: MixRole, today: string): IngredientView[] =>
  ingredients
    .filter(lot => ROLE_OF_KIND[lot.kind] === role && lot.leftG > 0)
    .toSorted(
      (a, b) =>
        Number(isPast(a, today)) - Number(isPast(b, today))
        || Number(a.iodised) - Number(b.iodised)
        || Number(b.agentKind === 'no_1') - Number(a.agentKind === 'no_1')
        || (a.bestBefore ?? '9').localeCompare(b.bestBefore ?? '9'),
    )
export const isPast = (lot: IngredientView, today: string): boolean => lot.bestBefore !== null && lot.bestBefore < today

/** Seasonings whose amount is a number; the others wait. Keys are their places in the draft. */
export const readSeasonings = (draft: BenchDraft, ingredients: readonly IngredientView[]): SeasoningWanted[] =>
  draft.seasonings.map((s) => {
    const amount = parseDecimal(s.amount)
    const lot = ingredients.find(one => one.code === s.lotCode)
    return {
      key: lot?.name ?? s.name,
      per: s.per,
      amount: amount.ok ? Math.max(0, amount.value) : 0,
      pieces: piecesOfGroup(draft.pieces, s.group),
      composition: lot
        ? { ...lot.composition, sugarFraction: sugarOf({ kind: lot.kind, sugarFraction: lot.composition.sugarFraction }) }
        : { saltFraction: 0, sugarFraction: 0, waterFraction: 0 },
    }
  })

export const readSides = (draft: BenchDraft): SideShares => ({
  flesh: shareOf(draft.sides.flesh) ?? 0,
  fat: shareOf(draft.sides.fat) ?? 0,
  edges: shareOf(draft.sides.edges) ?? 0,
})
export const sidesOf = (massG: Grams, sides: SideShares) =>
  sides.flesh + sides.fat + sides.edges > 0 ? shareBySide(massG, sides) : null

/** The question that the core answers, or null while something it needs is missing. */
export function readQuestion(
  draft: BenchDraft,
  known: {
    piecesG: Grams[]
    agentLot: IngredientView | null
    sugarLot?: IngredientView | null
    ingredients: readonly IngredientView[]
    readabilityG: Grams
  },
): FormulateQuestion | null {
  const targets = readTargets(draft)
  const agent = known.agentLot?.agent ?? null
  if (!targets || known.piecesG.length === 0 || (!agent && !isSaltOnly(draft))) return null
  const [waterShare, pickUp] = [shareOf(draft.waterShare), shareOf(draft.mostPickUp)]
  if (isWet(draft.method) && !waterShare) return null
  if (draft.method === 'wet_pick_up' && !pickUp) return null
  return {
    method: draft.method,
    piecesG: known.piecesG,
    agent,
    targets,
    readabilityG: known.readabilityG,
    sugarFraction: known.sugarLot?.composition.sugarFraction || 1,
    seasonings: readSeasonings(draft, known.ingredients),
    fromAgentOnly: draft.fromAgentOnly || known.agentLot?.kind === 'mix',
    ...(waterShare ? { waterShare } : {}),
    ...(pickUp ? { pickUp } : {}),
  }
}
