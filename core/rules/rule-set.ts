import type { Ppm } from '../units/quantities'
import { cutGroup, type Cut, type CutGroup, type Rind } from './cuts'

export type CureMethod = 'dry' | 'immersion'

/** One line of a rule set: the most ingoing nitrite, as NaNO2, that a cut may get by a method. */
export interface RuleRow {
  id: string
  cutGroup: CutGroup
  method: CureMethod
  rind: Rind | 'any'
  maxPpm: Ppm
  source: string
}

/** A law as data. Verdicts keep a snapshot of the row they were judged by. */
export interface RuleSet {
  id: string
  jurisdiction: string
  source: string
  /** Date of the text the rows were taken from. */
  textDate: string
  /** Least ingoing nitrite for refrigerated cured products, unless safety comes from elsewhere. */
  floorPpm: Ppm
  floorSource: string
  nitrateAllowed: boolean
  rows: readonly RuleRow[]
}

/** The row that governs, or null when the set has none: then no verdict can be given. */
export const ruleFor = (
  rules: RuleSet, cut: Cut, method: CureMethod, rind: Rind,
): RuleRow | null => rules.rows.find(row =>
  row.cutGroup === cutGroup(cut) && row.method === method && (row.rind === 'any' || row.rind === rind)) ?? null
