import type { Ppm } from '#core/units/quantities'
import type { Purpose } from '#core/agents/agent-fault'
import type { Plan } from '#core/plan/plan'
import type { CureMethod } from '#core/cure/cure-method'
import type { AmountKind } from '#core/cure/seasoning'
import type { Cut, Rind } from '#core/rules/cuts'
import { FLAVOURS, type Flavour } from '#shared/contracts/recipes'

export interface Weighed {
  lotCode: string
  weighed: string
}
export interface SeasoningDraft extends Weighed {
  name: string
  per: AmountKind
  amount: string
  group: 'all' | Flavour
}
export interface PieceDraft {
  meatCode: string
  weight: string
  meatPieceId?: number | null
  bag?: number | null
  group?: Flavour
}

/** What the Bench holds while a lot is made: all as typed. */
export interface BenchDraft {
  meatCode: string
  cut: Cut
  rind: Rind
  purpose: Purpose
  method: CureMethod
  /** True for no curing salt, by whatever method. */
  saltOnly?: boolean
  choiceId: string | null
  entry: string
  pieces: PieceDraft[]
  saltShare: string
  sugarShare: string
  saltBasis: 'total' | 'added'
  targetPpm: Ppm
  /** All salt through a nitrite curing salt. */
  fromAgentOnly: boolean
  agent: Weighed
  salt: Weighed
  sugar: Weighed
  seasonings: SeasoningDraft[]
  firstShare: string
  waterShare: string
  water: string
  mostPickUp: string
  weighedBack: string
  /** The salt's weight a second time, where it is far from the plan. */
  saltAgain: string
  sides: { flesh: string; fat: string; edges: string }
  sharing: 'by_weight' | 'equal_scoops'
  recipe: { code: string; revisionId: number; number: number; name: string } | null
  cardCode: string | null
  meatScaleId: number | null
  mixScaleId: number | null
  fridgeId: number | null
  /** "rack", "stack", "tub A"; empty: as it falls. */
  spot?: string | null
  /** Null: as the shop usually does. */
  plan?: Plan | null
  thickness: string
  /** Null follows the suggestion. */
  readyFromDay: number | null
  bestByDay: number | null
  note: string
}

export const emptyBench = (): BenchDraft => ({
  meatCode: '',
  cut: 'belly',
  rind: 'off',
  purpose: 'bacon',
  method: 'dry',
  saltOnly: false,
  choiceId: null,
  entry: '',
  pieces: [],
  saltShare: '2.5',
  sugarShare: '1',
  saltBasis: 'total',
  targetPpm: 150,
  fromAgentOnly: false,
  agent: { lotCode: '', weighed: '' },
  salt: { lotCode: '', weighed: '' },
  sugar: { lotCode: '', weighed: '' },
  seasonings: [],
  firstShare: '50',
  waterShare: '50',
  water: '',
  mostPickUp: '12',
  weighedBack: '',
  saltAgain: '',
  sides: { flesh: '60', fat: '30', edges: '10' },
  sharing: 'by_weight',
  recipe: null,
  cardCode: null,
  meatScaleId: null,
  mixScaleId: null,
  fridgeId: null,
  spot: null,
  plan: null,
  thickness: '40',
  readyFromDay: null,
  bestByDay: null,
  note: '',
})

/** Drafts and recipes of before name it as a method. */
export const isSaltOnly = ({ method, saltOnly }: Pick<BenchDraft, 'method' | 'saltOnly'>): boolean =>
  saltOnly === true || method === 'salt_only'

/** Which pieces a flavouring goes on, counted from 0; null: all. */
export const piecesOfGroup = (pieces: readonly PieceDraft[], group: SeasoningDraft['group']): number[] | null =>
  group === 'all' ? null : pieces.flatMap((piece, i) => ((piece.group ?? 'A') === group ? [i] : []))

/**
 * The mark after a piece's own, of those that the seasonings speak of, A and B at least; after the last comes A again.
 */
export function nextFlavour(piece: PieceDraft, seasonings: readonly SeasoningDraft[]): Flavour {
  const last = Math.max(1, ...seasonings.map(s => (s.group === 'all' ? 0 : FLAVOURS.indexOf(s.group))))
  return FLAVOURS[(FLAVOURS.indexOf(piece.group ?? 'A') + 1) % (last + 1)]!
}
