import type { HouseSettings } from './house-settings'
import type { GoneWhy } from '#core/life/gone'
import type { ContradictionCode, Mend } from '#core/life/meaning'
import type { Stage } from '#core/life/kinds/stage'
import type { AddFace } from '#core/life/kinds/add'
import type { Feel } from '#core/life/kinds/look'
import type { PieceFace } from '#core/life/kinds/turn'
import type { StepKind } from '#core/life/kinds/all-kinds'
import type { Fraction, Grams, Millimetres, Milliseconds, Ppm } from '#core/units/quantities'
import type { DoneStep } from '#core/plan/progress'
import { z } from 'zod'
import type { Allergen } from './allergens'
import type { Purpose } from '#core/agents/agent-fault'
import type { CureMethod } from '#core/cure/cure-method'
import type { SideShares } from '#core/retained/share-by-side'
import type { HouseLimits } from '#core/rules/house'
import type { Cut, Rind } from '#core/rules/cuts'
import type { RuleSet } from '#core/rules/rule-set'
import type { Targets } from '#core/cure/formulate'
import type { OffcutKind } from '#core/slicing/mass-balance'
import type { SmokeOutcome } from '#core/smoke/outcome'
import type { InstrumentState } from '#core/instruments/instrument-state'
import type { EventView } from './events'
import { code, text } from '../entry/fields'
import type { HoldReason, HoldView } from './holds'
import type { InstrumentMark } from './instruments'
import type { Judgement } from './judgement'
import type { LotPlan } from './plans'
import type { PlaceBrief } from './places'
import type { RecipeView } from './recipes'
import type { ReturnView } from './returns'
import type { LabResultView } from './rub'
import type { IngredientView, MeatView, MixRole } from './store'

export const emptyInput = z.strictObject({})

export interface ScaleView {
  id: number
  name: string
  purpose: 'meat' | 'mix'
  readabilityG: Grams
  state: InstrumentState
}
export interface ShopView extends Omit<HouseSettings, 'targetPpm' | 'floorPpm' | 'maxPpm'> {
  name: string
  zone: string
  houseTargetPpm: Ppm
  house: HouseLimits
  ruleSetId: string
  turnEveryDays: number
  turnBy: string
  confirmed: Judgement['confirmed']
}
export interface BenchView {
  shop: ShopView
  rules: RuleSet
  meat: MeatView[]
  ingredients: IngredientView[]
  scales: ScaleView[]
  /** Where meat can lie after its rub. */
  places: PlaceBrief[]
  recipes: RecipeView[]
  cards: { code: string; atMs: Milliseconds }[]
  /** What the shop's last lots weighed ready to slice, by cut, as a share of green weight. */
  yields: Partial<Record<Cut, Fraction>>
  today: string
}

/** A piece, and where and how it lies now. */
export interface LotPiece {
  id: number
  number: number
  /** "a" of what was cut off a piece after the rub, whose number it keeps; null: it was rubbed itself. */
  part: string | null
  parentId: number | null
  /** Number and part, "3", "3a": what it is called in its lot. */
  label: string
  meatCode: string
  /** The green weight; of a part its share of what was weighed before the rub. */
  greenG: Grams
  /** The weight as typed; of a part what it weighed at the cut. */
  greenTyped: string
  bag: number | null
  tag: string | null
  placeId: number | null
  spot: string | null
  face: PieceFace | null
  /** Null only where nothing says that it was rubbed. */
  stage: Stage | null
  sinceMs: Milliseconds | null
  outAtMs: Milliseconds | null
  /** Where it lies in its stack, 1 at the bottom, and how often all of that was turned; null: in none. */
  layer: number | null
  stackTurns: number | null
  /** Since when it is a piece no more: sliced to the end, or taken away. */
  goneAtMs: Milliseconds | null
  goneWhy: Exclude<GoneWhy, 'cut'> | null
}

/** What every room needs to know of a lot. */
/** What a small beam shows of a verdict. */
export type JudgementBrief = Pick<Judgement, 'status' | 'meaning' | 'lot' | 'maxPpm' | 'floorPpm'> & {
  /** The least that stayed in the worst piece; null: not shown, or no nitrite. */
  leastPpm: Ppm | null
}
export interface LotSummary {
  code: string
  cut: Cut
  rind: Rind
  saltOnly: boolean
  method: CureMethod
  fridge: string
  fridgeId: number
  rubbedAtMs: Milliseconds
  rubbedOn: string
  zone: string
  rubbedBy: string
  thicknessMm: Millimetres
  readyFromDay: number
  bestByDay: number
  turnEveryDays: number
  turnBy: string
  drainedAtMs: Milliseconds | null
  cureEndedAtMs: Milliseconds | null
  pieces: LotPiece[]
  greenG: Grams
  readyG: Grams | null
  /** Two applications, of which the second is still to come. */
  secondDue: boolean
  /** `pieces`: ids; null: all of the lot. */
  turns: { id: number; atMs: Milliseconds; by: string; pieces: number[] | null }[]
  /** What is intended with it. */
  plan: LotPlan
  /** Plans of pieces that go a way of their own. */
  piecePlans: LotPlan[]
  /** What was done to it beside turns, as plans ask of it. */
  did: DoneStep[]
  /** How it felt when it was last looked at. */
  lastFeel: { feel: Feel; atMs: Milliseconds } | null
  judgement: JudgementBrief
  /** How many of its steps contradict others, and count for nothing. */
  contradictions: number
  openHolds: HoldReason[]
  /** Reasons of holds under which it is being reworked: the owner decides once more before it goes out. */
  reworked: HoldReason[]
  /** Ids of the pieces that go nowhere: they, or what they were cut from, are held or were destroyed. */
  heldPieces: number[]
  runs: {
    code: string
    startedAtMs: Milliseconds
    pulledAtMs: Milliseconds | null
    cooled: boolean
    outcome: SmokeOutcome | null
    cold: boolean
    pieces: number
  }[]
  packsG: Grams
  packs: number
  unsent: number
  /** The part of the weight ready to slice that neither packs nor offcuts account for; null until it was weighed. */
  leftG: Grams | null
  /** Pieces that are there and from which nothing was sliced yet. */
  unsliced: number
}

/** What the Ledger's list shows of a lot. */
export const LOT_ROW = [
  'code', 'cut', 'rind', 'rubbedOn', 'greenG', 'judgement', 'cureEndedAtMs', 'openHolds', 'runs',
  'packs', 'packsG', 'unsent', 'readyG', 'leftG', 'unsliced',
] as const satisfies readonly (keyof LotSummary)[]
export type LotRow = Pick<LotSummary, (typeof LOT_ROW)[number]>
/** Lots a page. */
export const LOTS_PAGE = 30
/** `find` is part of a code, a cut, or a day of rubbing. */
export const lotListQuery = z.strictObject({
  before: code().optional(),
  find: text().trim().max(40).optional(),
  open: z.stringbool().optional(),
})
export interface LotList {
  rows: LotRow[]
  more: boolean
}

/** What is left of the nitrite in the product, and how that is shown. */
export interface ResidualView {
  by: 'laboratory' | 'mass_balance' | null
  /** The law's figure as NaNO2; null where its text has to be asked. */
  maxPpm: Ppm | null
  source: string
  /** Most that can be left, by mass balance; null before there is a finished weight, or where nitrate went in. */
  boundPpm: Ppm | null
  /** Nitrite that went in at its highest, on green weight. */
  highPpm: Ppm | null
  /** The yield under which the bound passes the limit. */
  leastYield: number | null
  why: 'lab_always' | 'nitrate' | 'unweighed' | 'no_figure' | 'not_finished' | 'over' | null
}

/** A piece that was cut up after the rub, and when. */
export interface CutUp {
  id: number
  parentId: number | null
  label: string
  atMs: Milliseconds
}

/** A piece from its rub, or its cut, to now: where it was, in which stage. */
export interface PieceLine {
  pieceId: number
  label: string
  parentId: number | null
  bornAtMs: Milliseconds
  goneAtMs: Milliseconds | null
  goneWhy: GoneWhy | null
  stays: readonly { placeId: number | null; stage: Stage; fromMs: Milliseconds; toMs: Milliseconds | null }[]
}

/**
 * Two steps of a lot that cannot both be, the later of which counts for nothing, with the records that told of them.
 */
export interface Contradicts {
  why: ContradictionCode
  mend: Mend
  first: ToldStep | null
  second: ToldStep
  /** Labels of the pieces for which they cannot. */
  pieces: string[]
}
export interface ToldStep {
  kind: StepKind
  atMs: Milliseconds
  /** The record; null where nobody knows it. */
  eventId: number | null
}

export interface LotView extends Omit<LotSummary, 'judgement'> {
  /** Pieces as they were weighed before the rub; what was cut up since is among them. */
  rubbed: LotPiece[]
  cutUp: CutUp[]
  /** Lines of all pieces, also those that were cut up; and the places they were in. */
  lines: PieceLine[]
  linePlaces: { id: number; name: string }[]
  contradicts: Contradicts[]
  judgement: Judgement
  residual: ResidualView | null
  targets: Targets
  note: string | null
  /** What pieces and ingredients were weighed on, as it stood then. */
  meatScale: InstrumentMark | null
  mixScale: InstrumentMark | null
  readyTyped: string | null
  purpose: Purpose
  sides: SideShares | null
  waterTyped: string | null
  weighedBackTyped: string | null
  afterTyped: string | null
  /** Two applications: the share that went on first. */
  firstShare: Fraction | null
  recipe: { code: string; name: string; number: number } | null
  labResults: LabResultView[]
  allergens: Allergen[]
  ingredients: {
    role: MixRole
    code: string
    name: string
    plannedG: Grams
    weighedG: Grams
    weighedTyped: string
    id: number
    application: number
    /** The pieces it went on; null: all. */
    pieceNumbers: (number | string)[] | null
    /** When it went on, on which face, for what; null: with the rub, all over, for the cure. */
    atMs: Milliseconds | null
    face: AddFace | null
    usedFor: 'flavour' | null
    unweighed: boolean
    /** What of it is salt, and sugar. */
    saltFraction: Fraction
    sugarFraction: Fraction
  }[]
  holds: HoldView[]
  packList: {
    id: number
    code: string
    kind: string
    netG: Grams
    netTyped: string
    packedOn: string
    scale: InstrumentMark | null
    customer: string | null
    sentOn: string | null
    /** The last return; null: it never came back. */
    returned: ReturnView | null
  }[]
  /** `atCut`: it came off when a piece was cut up. */
  offcuts: { kind: OffcutKind; massG: Grams; typed: string; atMs: Milliseconds; atCut: boolean }[]
  events: EventView[]
}
