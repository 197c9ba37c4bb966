import { z } from 'zod'
import { CUTS, RINDS, type Cut, type Rind } from '#core/rules/cuts'
import type { RuleSet } from '#core/rules/rule-set'
import type { Targets } from '#core/cure/formulate'
import type { OffcutKind } from '#core/slicing/mass-balance'
import type { SmokeOutcome } from '#core/smoke/outcome'
import { code, decimal, INGREDIENT_RANGE, note, percent, PIECE_RANGE, THICKNESS_RANGE_MM, weight } from './fields'
import type { InstrumentState } from '#core/instruments/instrument-state'
import type { EventView } from './events'
import type { HoldReason, HoldView } from './holds'
import type { InstrumentMark } from './instruments'
import type { Judgement } from './judgement'
import type { IngredientView, MeatView } from './store'

export const MOST_PIECES = 400
const weighed = z.strictObject({ lotCode: code(), weighed: weight(INGREDIENT_RANGE) })

export const rubInput = z.strictObject({
  cut: z.enum(CUTS), rind: z.enum(RINDS), saltOnly: z.boolean(),
  pieces: z.array(z.strictObject({ meatCode: code(), weight: weight(PIECE_RANGE), meatPieceId: z.number().int().positive().nullable().default(null) })).min(1, { error: 'no_pieces' }).max(MOST_PIECES, { error: 'too_many_pieces' }),
  meatScaleId: z.number().int(), mixScaleId: z.number().int(),
  targets: z.strictObject({
    saltShare: percent(1, 6), sugarShare: percent(0, 6), saltBasis: z.enum(['total', 'added']), nitritePpm: decimal(0, 700),
  }),
  agent: weighed.nullable(), salt: weighed, sugar: weighed.nullable(),
  thicknessMm: decimal(THICKNESS_RANGE_MM.min, THICKNESS_RANGE_MM.max),
  readyFromDay: z.number().int().min(1).max(90), bestByDay: z.number().int().min(1).max(120),
  fridgeId: z.number().int(), note: note(),
}).superRefine((input, ctx) => {
  if (!input.saltOnly && input.agent === null) ctx.addIssue({ code: 'custom', path: ['agent', 'lotCode'], message: 'agent_missing' })
  if (input.saltOnly && input.agent !== null) ctx.addIssue({ code: 'custom', path: ['agent', 'lotCode'], message: 'agent_in_salt_only' })
  if (input.bestByDay < input.readyFromDay) ctx.addIssue({ code: 'custom', path: ['bestByDay'], message: 'best_by_before_ready' })
})
export type RubInput = z.output<typeof rubInput>

export const emptyInput = z.strictObject({})

export interface ScaleView { id: number, name: string, purpose: 'meat' | 'mix', readabilityG: number, state: InstrumentState }
export interface ShopView {
  name: string, zone: string, houseTargetPpm: number, turnEveryDays: number, turnBy: string
  confirmed: Judgement['confirmed']
}
export interface FridgeView { id: number, name: string, readings: FridgeReadingView[] }
/** `tempC` is what was read less `offsetC`, the thermometer's. */
export interface FridgeReadingView { id: number, atMs: number, tempC: number, offsetC: number, instrument: InstrumentMark | null }
export interface BenchView { shop: ShopView, rules: RuleSet, meat: MeatView[], ingredients: IngredientView[], scales: ScaleView[], fridges: { id: number, name: string }[] }

/** What every room needs to know of a lot. */
export interface LotSummary {
  code: string, cut: Cut, rind: Rind, saltOnly: boolean, fridge: string, fridgeId: number
  rubbedAtMs: number, rubbedOn: string, zone: string, rubbedBy: string
  thicknessMm: number, readyFromDay: number, bestByDay: number, turnEveryDays: number, turnBy: string
  drainedAtMs: number | null, cureEndedAtMs: number | null
  pieces: { id: number, number: number, meatCode: string, greenG: number, greenTyped: string }[]
  greenG: number, readyG: number | null
  turns: { id: number, atMs: number, by: string }[]
  judgement: Judgement
  openHolds: HoldReason[]
  runs: { code: string, startedAtMs: number, pulledAtMs: number | null, cooled: boolean, outcome: SmokeOutcome | null }[]
  packsG: number, packs: number, unsent: number
}

export interface LotView extends LotSummary {
  targets: Targets
  note: string | null
  /** What pieces and ingredients were weighed on, as it stood then. */
  meatScale: InstrumentMark | null
  mixScale: InstrumentMark | null
  readyTyped: string | null
  ingredients: { role: string, code: string, name: string, plannedG: number, weighedG: number, weighedTyped: string, id: number }[]
  holds: HoldView[]
  packList: { id: number, code: string, kind: string, netG: number, netTyped: string, packedOn: string, scale: InstrumentMark | null, customer: string | null, sentOn: string | null }[]
  offcuts: { kind: OffcutKind, massG: number, typed: string, atMs: number }[]
  events: EventView[]
}
