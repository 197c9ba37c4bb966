import type { LotStayed } from '#core/retained/lot-stayed'
import type { Ppm } from '#core/units/quantities'
import type { Advice } from '#core/rules/advise'
import type { NitriteStatus } from '#core/rules/judge-nitrite'
import type { CureMethod, PpmMeaning } from '#core/cure/cure-method'
import type { HouseLimits } from '#core/rules/house'
import type { RuleRow } from '#core/rules/rule-set'
import type { PpmWithBounds } from '#core/cure/pieces-ppm'
import type { Cut, Rind } from '#core/rules/cuts'

/** The verdict on a lot's nitrite as it was given, with all it rested on: a lot keeps this as its snapshot. */
export interface Judgement {
  status: NitriteStatus
  cut: Cut
  rind: Rind
  /** The figure of the lot, or of the pieces that decide; null without nitrite. */
  lot: PpmWithBounds | null
  /** Pieces on which something went alone, and whose figure decides, "3" or "3a"; left out: all are alike. */
  decides?: (number | string)[]
  pieces: PpmWithBounds[]
  row: RuleRow
  method: CureMethod
  /** Whether the figures say what went in, the most that can have, the least, or nothing. */
  meaning: PpmMeaning
  ruleSetId: string
  /** The row's maximum as NaNO2; the row itself may count the ion. */
  maxPpm: Ppm
  /** The shop's own stricter limits then; absent in verdicts from before there were any. */
  house?: HouseLimits
  /** Rows that only a laboratory result meets. */
  residual: RuleRow[]
  /** Nitrate as NaNO3, when the agent holds any. */
  nitrate?: { ppm: Ppm; maxPpm: Ppm } | null
  /**
   * The least that stayed, by piece, after all that was told of its liquid; it picks the cooling rule. Null without
   * nitrite; absent in verdicts from before it was worked out.
   */
  stayed?: StayedJudged | null
  floorPpm: Ppm
  floorSource: string
  jurisdiction: string
  ruleTextDate: string
  /** Who confirmed the rule set against the authority's text, and when; null is "not confirmed by this shop". */
  confirmed: { by: string; on: string; reference: string } | null
  advice: Advice
  arithmetic: string
}

/** The least that stayed, as it is kept with the verdict. */
export type StayedJudged = LotStayed
