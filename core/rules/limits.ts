import { CURED_COOLING_PPM, CURED_COOLING_SOURCE } from './guideline'
import { asSodiumNitrite } from '../cure/agent'
import type { LegalMethod } from '../cure/cure-method'
import type { Ppm } from '../units/quantities'
import { cutGroup, type Cut, type Rind } from './cuts'
import { GUARD_PPM, NO_HOUSE_LIMITS, type HouseLimits } from './house'
import { row as filled, type RuleRow, type RuleSet } from './rule-set'

export interface LimitQuestion {
  rules: RuleSet
  cut: Cut
  method: LegalMethod
  rind: Rind
  /** A row that stands in for the general ones, by its id; null: the general rows. */
  choiceId?: string | null
  house?: HouseLimits
}

/**
 * What a lot is judged by: posts of the beam in ppm as NaNO2, the rows they come from, and what a laboratory must show.
 */
export interface LotLimits {
  maxPpm: Ppm
  /** The row the maximum comes from. */
  row: RuleRow
  floorPpm: Ppm
  floorSource: string
  house: HouseLimits
  /** Nitrate as NaNO3; 0 when the set has no row that allows it. */
  nitrateMaxPpm: Ppm
  nitrateSource: string
  /** Residual rows: no arithmetic meets them, a laboratory result does. */
  residual: readonly RuleRow[]
}

/** A row's maximum as NaNO2, whatever ion or salt its text counts. */
export const asNaNO2 = (row: Pick<RuleRow, 'basis'>, ppm: Ppm): Ppm =>
  row.basis === 'ingoing_ion' ? ppm * asSodiumNitrite('NO2') : ppm

const GUARD_ROW = filled({
  id: 'guard',
  cutGroup: 'any',
  method: 'any',
  maxPpm: GUARD_PPM,
  source: 'house guard: this rule set has no ingoing maximum here',
  note: 'What the law limits is what a laboratory finds in the product.',
})

/**
 * Least ingoing nitrite that a row asks for, in ppm as NaNO2, and where it stands: the row's own, else its set's, else
 * what the cured-product cooling rule asks.
 */
export function floorOf(
  rules: Pick<RuleSet, 'floorPpm' | 'floorSource'>,
  row: Pick<RuleRow, 'basis' | 'minPpm' | 'source'>,
): { ppm: Ppm; source: string } {
  if (row.minPpm !== null) return { ppm: asNaNO2(row, row.minPpm), source: row.source }
  return rules.floorPpm === null
    ? { ppm: CURED_COOLING_PPM, source: CURED_COOLING_SOURCE }
    : { ppm: rules.floorPpm, source: rules.floorSource }
}

/** Every row of a set that speaks of this lot. */
export const rowsFor = (q: LimitQuestion): RuleRow[] =>
  q.rules.rows.filter(
    row =>
      (row.cutGroup === 'any' || row.cutGroup === cutGroup(q.cut))
      && (row.method === 'any' || row.method === q.method)
      && (row.rind === 'any' || row.rind === q.rind),
  )

/** Rows a maker may choose to be judged by instead of the general ones. */
export const choicesFor = (q: LimitQuestion): RuleRow[] => rowsFor(q).filter(row => row.choice !== null)

/**
 * The limits that govern a lot, or null when the set says nothing about it: then nothing may be rubbed by it. Of
 * several ingoing rows the strictest governs. Where only a residual row speaks, the house guard stands in as the
 * ingoing maximum.
 */
export function limitsFor(q: LimitQuestion): LotLimits | null {
  const all = rowsFor(q)
  const chosen = all.find(row => row.choice !== null && row.id === q.choiceId)
  const general = all.filter(row => row.choice === null)
  const rows = chosen ? [chosen, ...general.filter(row => row.compound === 'nitrate')] : general
  const nitrite = rows.filter(row => row.compound === 'nitrite')
  if (nitrite.length === 0) return null
  const ingoing = nitrite
    .filter(row => row.basis !== 'residual' && row.maxPpm !== null)
    .toSorted((a, b) => asNaNO2(a, a.maxPpm!) - asNaNO2(b, b.maxPpm!))
  const governing = ingoing[0] ?? GUARD_ROW
  const nitrate = rows
    .filter(row => row.compound === 'nitrate' && row.maxPpm !== null)
    .toSorted((a, b) => a.maxPpm! - b.maxPpm!)[0]
  const floor = floorOf(q.rules, governing)
  const house = q.house ?? NO_HOUSE_LIMITS
  return {
    maxPpm: asNaNO2(governing, governing.maxPpm!),
    row: governing,
    floorPpm: floor.ppm,
    floorSource: floor.source,
    house,
    nitrateMaxPpm: nitrate?.maxPpm ?? 0,
    nitrateSource: nitrate?.source ?? `${q.rules.source}: no row allows nitrate`,
    residual: nitrite.filter(row => row.basis === 'residual'),
  }
}
