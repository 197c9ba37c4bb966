import type { Cut, Rind } from '#core/rules/cuts'

export interface Weighed { lotCode: string, weighed: string }

/** What the Bench holds while a lot is made: all as typed. */
export interface BenchDraft {
  meatCode: string
  cut: Cut
  rind: Rind
  saltOnly: boolean
  entry: string
  pieces: { meatCode: string, weight: string, meatPieceId?: number | null }[]
  saltShare: string
  sugarShare: string
  saltBasis: 'total' | 'added'
  targetPpm: number
  agent: Weighed
  salt: Weighed
  sugar: Weighed
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
  meatCode: '', cut: 'belly', rind: 'off', saltOnly: false, entry: '', pieces: [], saltShare: '2.5', sugarShare: '1', saltBasis: 'total', targetPpm: 150,
  agent: { lotCode: '', weighed: '' }, salt: { lotCode: '', weighed: '' }, sugar: { lotCode: '', weighed: '' },
  meatScaleId: null, mixScaleId: null, fridgeId: null, thickness: '40', readyFromDay: null, bestByDay: null, note: '',
})
