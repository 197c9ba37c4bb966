import { RULE_RANGE_PPM } from '#core/rules/ranges'
import { z } from 'zod'
import { LEGAL_METHODS } from '#core/cure/cure-method'
import { asNaNO2, floorOf } from '#core/rules/limits'
import { BASES, COMPOUNDS, CUT_GROUPS, type RuleSet } from '#core/rules/rule-set'
import { decimal, isoDate, name, text } from '../entry/fields'
import { named, type EntryCode } from '../faults/issues'
import { MOST_ROWS } from '../faults/sizes'
import { houseFields, type HouseSettings } from './house-settings'

const ppm = () => decimal(RULE_RANGE_PPM)
const longNote = () => text().trim().max(250)

export const ownRuleRow = z
  .strictObject({
    cutGroup: z.enum(CUT_GROUPS),
    method: z.enum([...LEGAL_METHODS, 'any']),
    rind: z.enum(['on', 'off', 'any']),
    compound: z.enum(COMPOUNDS),
    basis: z.enum(BASES),
    maxPpm: ppm().nullable(),
    minPpm: ppm().nullable(),
    choice: name(80).nullable(),
    note: longNote(),
    source: name(250),
  })
  .superRefine((row, ctx) => {
    const fault = (path: string, message: EntryCode) => ctx.addIssue({ code: 'custom', path: [path], message })
    if (row.maxPpm === null && row.basis !== 'residual') fault('maxPpm', 'empty')
    if (row.maxPpm !== null && row.minPpm !== null && row.minPpm > row.maxPpm) fault('minPpm', 'min_above_max')
    if ((row.basis === 'ingoing_nano3') !== (row.compound === 'nitrate')) fault('basis', 'basis_of_compound')
  })
/** A rule set of the shop's own, in the Office. `ruleSetId` null makes a new one. */
export const ownRulesInput = z
  .strictObject({
    ruleSetId: text().max(64).nullable(),
    jurisdiction: name(),
    source: name(250),
    textDate: isoDate(),
    floorPpm: ppm().nullable(),
    floorSource: longNote(),
    rows: z.array(ownRuleRow).min(1, named('no_rows')).max(MOST_ROWS, named('too_many_rows')),
  })
  .superRefine((set, ctx) => {
    set.rows.forEach((row, i) => {
      // Rows for pumping are for reference: nothing here is judged by them.
      const judged
        = row.compound === 'nitrite' && row.basis !== 'residual' && row.method !== 'pumped' && row.maxPpm !== null
      const floorPpm = floorOf(set, row).ppm
      if (!judged || row.minPpm !== null || floorPpm <= asNaNO2(row, row.maxPpm!)) return
      ctx.addIssue({
        code: 'custom',
        path: ['rows', i, 'maxPpm'],
        message: 'floor_above_max',
        params: { code: 'floor_above_max', floorPpm },
      })
    })
    if (!set.rows.some(row => row.compound === 'nitrite'))
      ctx.addIssue({ code: 'custom', path: ['rows'], message: 'no_rows' })
  })

/** Which rule set is in force, and what the shop asks beyond it. */
export const rulesInForceInput = z
  .strictObject({
    ruleSetId: text().max(64),
    ...houseFields,
  })
  .superRefine((house, ctx) => {
    if (house.maxPpm !== null && house.targetPpm > house.maxPpm)
      ctx.addIssue({ code: 'custom', path: ['targetPpm'], message: 'target_outside_house' })
    if (house.floorPpm !== null && house.targetPpm < house.floorPpm)
      ctx.addIssue({ code: 'custom', path: ['targetPpm'], message: 'target_outside_house' })
  })
export const rulesConfirmationInput = z.strictObject({
  ruleSetId: text().max(64).nullable().default(null),
  confirmedBy: name(),
  confirmedOn: isoDate(),
  reference: name(250),
})

export interface Confirmation {
  by: string
  on: string
  reference: string
}
export interface RuleSetView {
  rules: RuleSet
  own: boolean
  inForce: boolean
  confirmed: Confirmation | null
}
export interface RulesView {
  sets: RuleSetView[]
  house: HouseSettings
}
