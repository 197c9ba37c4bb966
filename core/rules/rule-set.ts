import type { LEGAL_METHODS } from '../cure/cure-method'
import type { Ppm } from '../units/quantities'

export const CUT_GROUPS = ['belly', 'other', 'any'] as const
export const COMPOUNDS = ['nitrite', 'nitrate'] as const
/**
 * What a row's figures count. `ingoing_ion` is nitrite as the ion, 46.005 g/mol; `residual` is what a laboratory finds.
 */
export const BASES = ['ingoing_nano2', 'ingoing_ion', 'ingoing_nano3', 'residual'] as const
export type Basis = (typeof BASES)[number]

/**
 * One line of a law: what a cut may get by a method. Figures in ppm (mg/kg) on the row's basis; null where the text
 * gives none.
 */
export interface RuleRow {
  id: string
  cutGroup: (typeof CUT_GROUPS)[number]
  method: (typeof LEGAL_METHODS)[number] | 'any'
  rind: 'on' | 'off' | 'any'
  compound: (typeof COMPOUNDS)[number]
  basis: Basis
  maxPpm: Ppm | null
  /** Least ingoing nitrite where this row has its own. */
  minPpm: Ppm | null
  /** Days that the meat matures after its cure before it goes out; left out where the text asks for none. */
  maturationDays?: number
  /** Named when it may be chosen instead of the general rows: "traditional dry-cured bacon". */
  choice: string | null
  note: string
  source: string
}

/** A law as data. Verdicts keep a snapshot of the rows they were judged by. */
export interface RuleSet {
  id: string
  jurisdiction: string
  source: string
  /** Date of the text the rows were taken from. */
  textDate: string
  /**
   * Least ingoing nitrite as NaNO2 for refrigerated cured products, unless safety comes from elsewhere; null: the text
   * has none.
   */
  floorPpm: Ppm | null
  floorSource: string
  rows: readonly RuleRow[]
  /**
   * Finished bacon from belly may not weigh more than the fresh belly did: where the text stands; left out where the
   * law says nothing of it.
   */
  bellyNoHeavier?: string
}

/** A row with the usual blanks filled in: ingoing nitrite as NaNO2, any rind, no note. */
export const row = (
  given: Pick<RuleRow, 'id' | 'cutGroup' | 'method' | 'maxPpm' | 'source'> & Partial<RuleRow>,
): RuleRow => ({
  rind: 'any',
  compound: 'nitrite',
  basis: 'ingoing_nano2',
  minPpm: null,
  choice: null,
  note: '',
  ...given,
})
