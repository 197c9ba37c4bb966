import type { Purpose } from '#core/agents/agent-fault'
import type { CureMethod } from '#core/cure/cure-method'
import type { AmountKind } from '#core/cure/seasoning'
import type { SideShares } from '#core/retained/share-by-side'
import type { MixRole } from '#shared/contracts/store'
import type { Cut, Rind } from '#core/rules/cuts'
import type { GoneWhy } from '#core/life/gone'
import type { Stage } from '#core/life/kinds/stage'
import type { AddFace } from '#core/life/kinds/add'
import type { PieceFace } from '#core/life/kinds/turn'
import type { Judgement } from '#shared/contracts/judgement'
import type { HoldReason } from '#shared/contracts/holds'
import type { Targets } from '#core/cure/formulate'
import type { OffcutKind } from '#core/slicing/mass-balance'
import { bool, celsius, day, decimal, grams, instant, int, json, nullable, share, text } from '../schema/column'
import { tableSpec, voidableSpec } from '../schema/table-spec'
import { PIECE_STATE } from './piece-state'

export const lots = {
  ...voidableSpec(
    'lots',
    {
      code: text(16),
      cut: text<Cut>(16),
      rind: text<Rind>(8),
      saltOnly: bool(),
      fridgeId: int(),
      rubbedAtMs: instant(),
      rubbedOn: day(),
      zone: text(64),
      rubbedById: int(),
      thicknessMm: decimal(7, 2),
      readyFromDay: int(),
      bestByDay: int(),
      turnEveryDays: decimal(3, 1),
      turnBy: text(5),
      meatReadabilityG: grams(),
      mixReadabilityG: grams(),
      meatScaleId: nullable(int()),
      mixScaleId: nullable(int()),
      targets: json<Targets>(),
      judgement: json<Judgement>(),
      drainedAtMs: nullable(instant()),
      cureEndedAtMs: nullable(instant()),
      readyG: nullable(grams()),
      readyTyped: nullable(text(64)),
      note: nullable(text(500)),
      method: text<CureMethod>(24),
      purpose: text<Purpose>(8),
      choiceId: nullable(text(64)),
      firstShare: nullable(share()),
      waterG: nullable(grams()),
      waterTyped: nullable(text(64)),
      mostPickUp: nullable(share()),
      weighedBackG: nullable(grams()),
      weighedBackTyped: nullable(text(64)),
      afterG: nullable(grams()),
      afterTyped: nullable(text(64)),
      sides: nullable(json<SideShares>()),
      recipeRevisionId: nullable(int()),
      /** The instant from which nothing of it waits for anybody any more. */
      finishedAtMs: nullable(instant()),
      /** How many of its steps contradict others and count for nothing; null: nobody looked yet. */
      contradictions: nullable(int()),
      /** The version whose rules it was judged by last; null: one that did not say. */
      judgedBy: nullable(text(16)),
    },
    [
      'finishedAtMs',
      'drainedAtMs',
      'cureEndedAtMs',
      'readyG',
      'readyTyped',
      'weighedBackG',
      'weighedBackTyped',
      'afterG',
      'afterTyped',
      'judgement',
      'contradictions',
      'judgedBy',
    ],
  ),
  // Worked out from the steps, like where pieces stand: the walk holds it against them.
  unsealed: ['contradictions'] as readonly string[],
}

export const pieces = {
  ...voidableSpec(
    'pieces',
    {
      lotId: int(),
      number: int(),
      /**
       * "a" of what was cut from a piece after the rub, and which piece that is; its number stays. Null: rubbed itself.
       */
      part: nullable(text(3)),
      parentId: nullable(int()),
      meatLotId: int(),
      meatPieceId: nullable(int()),
      greenG: grams(),
      greenTyped: text(64),
      readings: int(),
      bag: nullable(int()),
      /** What is tied to it: a number, a coloured string. */
      tag: nullable(text(40)),
      placeId: nullable(int()),
      spot: nullable(text(60)),
      face: nullable(text<PieceFace>(8)),
      stage: nullable(text<Stage>(8)),
      sinceMs: nullable(instant()),
      outAtMs: nullable(instant()),
      layer: nullable(int()),
      stackTurns: nullable(int()),
      goneAtMs: nullable(instant()),
      goneWhy: nullable(text<GoneWhy>(8)),
    },
    ['greenG', 'greenTyped', 'readings', 'tag', ...PIECE_STATE],
  ),
  unsealed: [...PIECE_STATE] as readonly string[],
}

export const lotIngredients = voidableSpec(
  'lot_ingredients',
  {
    lotId: int(),
    ingredientLotId: int(),
    role: text<MixRole>(8),
    plannedG: grams(),
    weighedG: grams(),
    weighedTyped: text(64),
    /** 2 for what went on after the first draining. */
    application: int(),
    appliedAtMs: nullable(instant()),
    per: nullable(text<AmountKind>(12)),
    amount: nullable(grams()),
    pieceNumbers: nullable(json<number[]>()),
    /** The step by which it went on; null: with the rub, or before there were steps. */
    stepId: nullable(int()),
    /** Ids of the pieces it went on; null: all, or `pieceNumbers`. */
    pieceIds: nullable(json<number[]>()),
    face: nullable(text<AddFace>(8)),
    /** Null: for the cure. */
    usedFor: nullable(text<'flavour'>(8)),
    /** True: it went on without being weighed. */
    unweighed: nullable(bool()),
    /** What it was weighed on; null: on the lot's mixing scale. */
    scaleId: nullable(int()),
    readabilityG: nullable(grams()),
  },
  ['ingredientLotId', 'weighedG', 'weighedTyped', 'unweighed'],
)

export const turns = voidableSpec('turns', { lotId: int(), atMs: instant(), byId: int() })

export const holds = {
  ...tableSpec(
    'holds',
    {
    /** The piece or the lot that is held: one of the two. */
      lotId: nullable(int()),
      meatLotId: nullable(int()),
      reason: text<HoldReason>(32),
      note: nullable(text(500)),
      placedAtMs: instant(),
      /** What it was made on, "S-0003": another decision is asked for on other facts. Null: it stands for all. */
      facts: nullable(text(120)),
      /** Held are these pieces and what is cut from them; null: the lot. */
      pieceIds: nullable(json<number[]>()),
      /** The stretch of time it is about, and the worst in it, °C. */
      fromAtMs: nullable(instant()),
      toAtMs: nullable(instant()),
      worst: nullable(celsius()),
      /** The version whose rules placed it, where an upgrade judged and no press did. */
      byRules: nullable(text(16)),
      /** The record by which what it rests on follows no more. */
      changedEventId: nullable(int()),
      disposition: nullable(text<'release' | 'rework' | 'reworking' | 'destroy'>(16)),
      dispositionText: nullable(text(500)),
      disposedAtMs: nullable(instant()),
      disposedById: nullable(int()),
    },
    [
      'disposition',
      'dispositionText',
      'disposedAtMs',
      'disposedById',
      'pieceIds',
      'fromAtMs',
      'toAtMs',
      'worst',
      'changedEventId',
    ],
  ),
  unsealed: ['changedEventId'] as readonly string[],
}

export const offcuts = voidableSpec('offcuts', {
  lotId: int(),
  kind: text<OffcutKind>(16),
  massG: grams(),
  massTyped: text(64),
  atMs: instant(),
  byId: int(),
  /** The cut or the slicing that it came off with; null: before that was kept. */
  stepId: nullable(int()),
  /** True of what came off when a piece was cut up, before that was weighed to be sliced. */
  atCut: nullable(bool()),
})

export const packs = voidableSpec(
  'packs',
  {
    code: text(16),
    lotId: int(),
    kind: text<'sliced' | 'ends'>(16),
    netG: grams(),
    netTyped: text(64),
    packedOn: day(),
    packedAtMs: instant(),
    packedById: int(),
    scaleId: nullable(int()),
    dispatchId: nullable(int()),
    /** The slicing it came from, of some pieces; null: of the lot, before that was kept. */
    stepId: nullable(int()),
  },
  ['netG', 'netTyped', 'dispatchId'],
)

export const dispatches = voidableSpec('dispatches', {
  customerId: int(),
  sentOn: day(),
  sentAtMs: instant(),
  sentById: int(),
})

/**
 * A pack that came back from a customer: it is in the shop again, and goes nowhere until the owner decides.
 * `dispatchId`: the sending that it came back from; `placeId`: where it lies, where somebody said.
 */
export const packReturns = voidableSpec(
  'pack_returns',
  {
    packId: int(),
    lotId: int(),
    dispatchId: int(),
    placeId: nullable(int()),
    atMs: instant(),
    byId: int(),
    reason: text(500),
    disposition: nullable(text<'release' | 'destroy'>(16)),
    dispositionText: nullable(text(500)),
    disposedAtMs: nullable(instant()),
    disposedById: nullable(int()),
  },
  ['disposition', 'dispositionText', 'disposedAtMs', 'disposedById'],
)

/** What a laboratory found in the finished product, ppm as NaNO2. */
export const labResults = voidableSpec('lab_results', {
  lotId: int(),
  residualPpm: decimal(9, 3),
  typed: text(64),
  laboratory: text(),
  report: text(),
  sampledOn: day(),
  fileId: nullable(int()),
  atMs: instant(),
  byId: int(),
})
