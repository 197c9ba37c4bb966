import type { Purpose } from '#core/agents/agent-fault'
import type { CureMethod } from '#core/cure/cure-method'
import type { AmountKind } from '#core/cure/seasoning'
import type { Cut, Rind } from '#core/rules/cuts'

export interface Weighed { lotCode: string, weighed: string }
/** Pieces of one lot may be flavoured apart: group A and group B. */
export type Group = 'A' | 'B'
export interface SeasoningDraft extends Weighed { name: string, per: AmountKind, amount: string, group: 'all' | Group }
export interface PieceDraft { meatCode: string, weight: string, meatPieceId?: number | null, bag?: number | null, group?: Group }

/** What the Bench holds while a lot is made: all as typed. */
export interface BenchDraft {
  meatCode: string
  cut: Cut
  rind: Rind
  purpose: Purpose
  method: CureMethod
  choiceId: string | null
  entry: string
  pieces: PieceDraft[]
  saltShare: string
  sugarShare: string
  saltBasis: 'total' | 'added'
  targetPpm: number
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
  sides: { flesh: string, fat: string, edges: string }
  sharing: 'by_weight' | 'equal_scoops'
  recipe: { code: string, revisionId: number, number: number, name: string } | null
  cardCode: string | null
  meatScaleId: number | null
  mixScaleId: number | null
  fridgeId: number | null
  thickness: string
  /** Null follows the suggestion. */
  readyFromDay: number | null
  bestByDay: number | null
  note: string
}

export const emptyBench = (): BenchDraft => ({
  meatCode: '', cut: 'belly', rind: 'off', purpose: 'bacon', method: 'dry', choiceId: null, entry: '', pieces: [], saltShare: '2.5', sugarShare: '1', saltBasis: 'total', targetPpm: 150,
  fromAgentOnly: false, agent: { lotCode: '', weighed: '' }, salt: { lotCode: '', weighed: '' }, sugar: { lotCode: '', weighed: '' }, seasonings: [],
  firstShare: '50', waterShare: '50', water: '', mostPickUp: '12', weighedBack: '', sides: { flesh: '60', fat: '30', edges: '10' }, sharing: 'by_weight', recipe: null, cardCode: null,
  meatScaleId: null, mixScaleId: null, fridgeId: null, thickness: '40', readyFromDay: null, bestByDay: null, note: '',
})

/** Which pieces a flavouring goes on, counted from 0; null: all. */
export const piecesOfGroup = (pieces: readonly PieceDraft[], group: SeasoningDraft['group']): number[] | null =>
  group === 'all' ? null : pieces.flatMap((piece, i) => (piece.group ?? 'A') === group ? [i] : [])
