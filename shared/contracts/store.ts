import {
  DELIVERY_RANGE,
  INGREDIENT_RANGE,
  OFFCUT_RANGE,
  PIECE_RANGE,
  TOLERANCE_RANGE,
  WHOLE_RANGE,
} from '#core/rules/ranges'
import type { Celsius, Grams, Milliseconds } from '#core/units/quantities'
import { LEAST_SYRUP_SHARE, MOST_BLENDED_NITRITE_SHARE } from '#core/rules/house'
import { z } from 'zod'
import { CUTS, RINDS, type Cut, type Rind } from '#core/rules/cuts'
import { AGENT_KINDS, type AgentKind } from '#core/agents/agent-kinds'
import type { CuringAgent } from '#core/cure/agent'
import type { Composition } from '#core/cure/seasoning'
import { ALLERGENS, type Allergen } from './allergens'
import {
  LONGEST_NAME, text, agentShare, code as codeText, isoDate, name, note, percent, reason, stockWeight, temperature,
  weight, withinWhole,
} from '../entry/fields'
import type { FileView } from './files'
import { instrumentId } from '../entry/instrument-id'
import type { InstrumentMark } from './instruments'
import type { HoldView } from './holds'
import { named, type EntryCode } from '../faults/issues'
import { MOST_LINES } from '../faults/sizes'

/** What is received; `mix` is made here. */
export const RECEIVED_KINDS = ['curing_salt', 'salt', 'sugar', 'spice'] as const
export type IngredientKind = (typeof RECEIVED_KINDS)[number] | 'mix'
/** What an ingredient does in a cure. */
export const MIX_ROLES = ['agent', 'salt', 'sugar', 'spice'] as const
export type MixRole = (typeof MIX_ROLES)[number]
export const ROLE_OF_KIND: Record<IngredientKind, MixRole> = {
  curing_salt: 'agent',
  mix: 'agent',
  salt: 'salt',
  sugar: 'sugar',
  spice: 'spice',
}

/** What is looked at when meat comes in. */
export const ARRIVAL_CHECKS = ['smell', 'colour', 'fat', 'evenness'] as const
export type ArrivalChecks = Record<(typeof ARRIVAL_CHECKS)[number], 'good' | 'poor'>
export const DECISIONS = ['take', 'hold', 'refuse'] as const
export const MEAT_STATES = ['in', 'held', 'refused', 'destroyed'] as const
export type MeatState = (typeof MEAT_STATES)[number]

const fileId = () => z.number().int().positive().nullable().default(null)
const condition = () => z.enum(['good', 'poor'])

const deliveryLine = z
  .strictObject({
    supplierLot: name(),
    cut: z.enum(CUTS),
    rind: z.enum(RINDS),
    weight: weight(DELIVERY_RANGE),
    temperature: temperature(),
    packDate: isoDate().nullable(),
    checks: z.strictObject({
      smell: condition(),
      colour: condition(),
      fat: condition(),
      evenness: condition(),
    }) satisfies z.ZodType<ArrivalChecks>,
    decision: z.enum(DECISIONS),
    reason: note(),
  })
  .superRefine((line, ctx) => {
    // Why it waits, went back, or was taken although something was poor.
    const needsReason = line.decision !== 'take' || Object.values(line.checks).includes('poor')
    if (needsReason && (line.reason ?? '').length < 3)
      ctx.addIssue({ code: 'custom', path: ['reason'], message: 'arrival_reason' })
  })

export const deliveryInput = z.strictObject({
  supplier: name(),
  document: name().nullable(),
  scaleId: instrumentId(),
  thermometerId: instrumentId(),
  photoId: fileId(),
  note: note(),
  lines: z.array(deliveryLine).min(1, named('no_lines')).max(MOST_LINES, named('too_many_lines')),
})

export const CUTTING_KINDS = ['cut', 'bone', 'split', 'trim'] as const
export type CuttingKind = (typeof CUTTING_KINDS)[number]
const left = () => weight(OFFCUT_RANGE).nullable()

export const cuttingInput = z
  .strictObject({
    /** A piece of the tree, or null for meat straight from the delivery: then `taken` says how much. */
    pieceId: z.number().int().positive().nullable(),
    taken: weight(DELIVERY_RANGE).nullable(),
    kind: z.enum(CUTTING_KINDS),
    pieces: z.array(weight(PIECE_RANGE)).min(1, named('no_pieces')).max(100, named('too_many_pieces')),
    trim: left(),
    bone: left(),
    rind: left(),
    scaleId: instrumentId(),
    note: note(),
  })
  .superRefine((input, ctx) => {
    if (input.pieceId === null && input.taken === null)
      ctx.addIssue({ code: 'custom', path: ['taken'], message: 'empty' })
  })

/** What the certificate says: 0.1 to 10 per cent of nitrite covers every curing salt sold. */
const certificate = z.strictObject({
  number: name(),
  nitritePercent: agentShare(WHOLE_RANGE),
  nitriteAs: z.enum(['NaNO2', 'KNO2', 'NO2']),
  tolerancePercent: percent(TOLERANCE_RANGE),
  fileId: fileId(),
  nitratePercent: percent(WHOLE_RANGE).default(0),
  nitrateAs: z.enum(['NaNO3', 'KNO3']).default('NaNO3'),
  /** Left out: what is neither nitrite, nitrate nor sugar. */
  saltPercent: percent(WHOLE_RANGE).nullable().default(null),
  sugarPercent: percent(WHOLE_RANGE).default(0),
})
/** What a seasoning brings besides flavour. */
const composition = z
  .strictObject({
    saltPercent: percent(WHOLE_RANGE),
    sugarPercent: percent(WHOLE_RANGE),
    waterPercent: percent(WHOLE_RANGE),
    allergens: z.array(z.enum(ALLERGENS)).max(ALLERGENS.length),
  })
  .refine(c => withinWhole(c.saltPercent, c.sugarPercent, c.waterPercent), named('more_than_whole'))

export const ingredientInput = z
  .strictObject({
    kind: z.enum(RECEIVED_KINDS),
    name: name(),
    agentKind: z.enum(AGENT_KINDS).exclude(['mix']).default('no_1'),
    iodised: z.boolean().default(false),
    composition: composition.nullable().default(null),
    supplier: name(),
    supplierLot: name(),
    amount: weight(INGREDIENT_RANGE),
    bestBefore: isoDate().nullable(),
    certificate: certificate.nullable(),
  })
  .superRefine((input, ctx) => {
    if (input.kind === 'curing_salt' && input.certificate === null) {
      ctx.addIssue({ code: 'custom', path: ['certificate', 'number'], message: 'certificate_missing' })
    }
    if (input.kind === 'sugar' && input.composition && input.composition.sugarPercent < LEAST_SYRUP_SHARE)
      ctx.addIssue({ code: 'custom', path: ['composition', 'sugarPercent'], message: 'syrup_thin' })
    const held = input.kind === 'curing_salt' ? input.certificate : null
    const fault = (field: string, message: EntryCode) =>
      ctx.addIssue({ code: 'custom', path: ['certificate', field], message })
    if (held && input.agentKind !== 'saltpetre' && held.nitritePercent < 0.001)
      fault('nitritePercent', 'nitrite_missing')
    if (held && input.agentKind !== 'potassium_nitrite' && held.nitritePercent > MOST_BLENDED_NITRITE_SHARE)
      fault('nitritePercent', 'nitrite_too_strong')
    if (held && !withinWhole(held.nitritePercent, held.nitratePercent, held.sugarPercent, held.saltPercent ?? 0))
      fault('saltPercent', 'more_than_whole')
  })

export const STOCK_MOVES = ['discarded', 'unassigned', 'count'] as const
export type StockMoveKind = (typeof STOCK_MOVES)[number]
export const stockMoveInput = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.enum(['discarded', 'unassigned']),
    amount: weight(INGREDIENT_RANGE),
    scaleId: instrumentId(),
    reason: reason(),
  }),
  z.strictObject({
    kind: z.literal('count'),
    counted: stockWeight(INGREDIENT_RANGE.maxG),
    scaleId: instrumentId(),
    reason: note(),
  }),
])

export const PARTY_KINDS = ['supplier', 'customer'] as const
export type PartyKind = (typeof PARTY_KINDS)[number]
export const partyInput = z.strictObject({
  kind: z.enum(PARTY_KINDS),
  name: name(),
  contact: name(250).nullable(),
  approval: name().nullable(),
  note: note(),
})
export const partyChangeInput = partyInput.omit({ kind: true })

/** Suppliers and customers told at once; others are looked for by name. */
export const PARTIES_SHOWN = 20
export const partyQuery = z.strictObject({
  find: text().trim().max(LONGEST_NAME).optional(),
  kind: z.enum(PARTY_KINDS).optional(),
})
export interface PartyFound {
  rows: PartyView[]
  more: boolean
}

export interface PartyView {
  id: number
  kind: PartyKind
  name: string
  contact: string | null
  approval: string | null
  note: string | null
}

export interface MeatPieceView {
  id: number
  label: string
  massG: Grams
  typed: string
  cuttingId: number
  divided: boolean
  lot: string | null
}
export interface CuttingView {
  id: number
  parentId: number | null
  kind: CuttingKind
  fromG: Grams
  trimG: Grams
  boneG: Grams
  rindG: Grams
  unaccountedG: Grams
  scale: InstrumentMark | null
  note: string | null
  atMs: Milliseconds
  by: string
}
export interface MeatView {
  code: string
  delivery: string | null
  document: string | null
  photo: FileView | null
  supplier: string
  supplierLot: string
  cut: Cut
  rind: Rind
  weightG: Grams
  weightTyped: string
  scale: InstrumentMark | null
  temperatureC: Celsius
  offsetC: Celsius
  thermometer: InstrumentMark | null
  packDate: string | null
  state: MeatState
  checks: ArrivalChecks | null
  note: string | null
  receivedAtMs: Milliseconds
  /** Gone into lots or onto the cutting board. */
  usedG: Grams
  cuttings: CuttingView[]
  pieces: MeatPieceView[]
  holds: HoldView[]
}
export interface IngredientView {
  code: string
  kind: IngredientKind
  name: string
  supplier: string
  supplierLot: string
  amountG: Grams
  usedG: Grams
  leftG: Grams
  bestBefore: string | null
  certificate: string | null
  certificateFile: FileView | null
  agent: CuringAgent | null
  openedAtMs: Milliseconds | null
  receivedAtMs: Milliseconds
  agentKind: AgentKind | null
  composition: Composition
  allergens: Allergen[]
  iodised: boolean
  /** A bulk mix with seasonings: the only day on which it may be used; null for anything else. */
  spicedOn: string | null
  /** A bulk mix: what it was made of. */
  parts: { code: string; name: string; massG: Grams }[]
}
/** Deliveries and bags a page. */
export const STORE_PAGE = 20
export const storePageQuery = z.strictObject({ before: codeText().optional() })
/** What came in, newest first, a page at a time. */
export interface StorePage {
  meat: { rows: MeatView[]; more: boolean }
  ingredients: { rows: IngredientView[]; more: boolean }
}
/** What is not used up, and the first page of all that came in: some of it is in both. */
export interface StoreView {
  meat: MeatView[]
  ingredients: IngredientView[]
  newest: StorePage
  parties: PartyFound
}
