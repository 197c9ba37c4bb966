import type { GoneWhy } from './gone'
import type { StepKind } from './step'

/**
 * Where a piece stands: in the cure; in water after it; out of it, drying; in a heat; at rest, before one or after; hung to
 * dry by weight. A
 * place has no stage: the same fridge holds pieces of all of them.
 */
export const STAGES = ['cure', 'soak', 'dry', 'heat', 'rest', 'hang'] as const
export type Stage = (typeof STAGES)[number]

/** Why a step cannot stand where it is told. */
export type ContradictionCode
  = | 'before_rub' | 'rubbed_twice' | 'out_of_cure' | 'still_curing' | 'in_water' | 'in_heat'
    | 'not_yet_cut' | 'cut_up' | 'sliced' | 'taken'

/** What sets it right: another hour; the missing step, told; or one of the two voided. */
export type Mend = 'other_time' | 'tell_out' | 'tell_heat_end' | 'void_one' | 'tell_parts'

export interface Meaning {
  /** Stages in which it can be done. */
  stages: readonly Stage[]
  /** Told of the whole lot it means the pieces of this stage, where there are some. */
  rather?: Stage
  /** The stage after it, where it changes it. */
  becomes?: Stage
  /** It goes on until its end is told, or the next thing begins. */
  lasts?: true
  /** The stage after its end, where that is another. */
  leaves?: Stage
}

const IN_CURE: Meaning = { stages: ['cure'] }
const ANYWHERE: Meaning = { stages: STAGES }
const RAW_OR_SMOKED: readonly Stage[] = ['dry', 'rest', 'hang']
/** Out of the cure, and in no heat. */
const OUT: readonly Stage[] = ['soak', ...RAW_OR_SMOKED]

/** What each kind needs of a piece, and what it makes of it. */
export const MEANING: Readonly<Record<StepKind, Meaning>> = {
  rub: { stages: [], becomes: 'cure' },
  turn: IN_CURE,
  // What is left in the bag at its end is poured off after it; a vacuum bag of a rest has some, too.
  drain: { stages: ['cure', ...RAW_OR_SMOKED], rather: 'cure' },
  add: IN_CURE,
  weigh: ANYWHERE,
  look: ANYWHERE,
  move: { stages: ['cure', ...OUT] },
  out: { stages: ['cure'], becomes: 'dry' },
  soak: { stages: OUT, becomes: 'soak', lasts: true, leaves: 'dry' },
  fry_test: { stages: OUT },
  dry: { stages: OUT, becomes: 'dry', lasts: true },
  rest: { stages: OUT, becomes: 'rest', lasts: true },
  hang: { stages: OUT, becomes: 'hang', lasts: true },
  humidity: { stages: ['hang'] },
  // A glaze goes on between or during heats; a marinade goes on where the meat lies.
  flavour: { stages: [...RAW_OR_SMOKED, 'heat'], lasts: true },
  heat: { stages: OUT, becomes: 'heat', lasts: true, leaves: 'rest' },
  cut: { stages: ['cure', ...OUT] },
  slice: { stages: RAW_OR_SMOKED },
  take: ANYWHERE,
}

/** After it a piece lies elsewhere, or stands in another stage: what lay warm is judged afresh. */
export const changesStand = (kind: StepKind): boolean =>
  kind === 'move' || kind === 'cut' || kind === 'take' || MEANING[kind].becomes !== undefined

/** Why a piece that is one no more cannot be had for a step, and what mends it. */
export const GONE_CONTRADICTS: Readonly<Record<GoneWhy, { code: ContradictionCode; mend: Mend }>> = {
  cut: { code: 'cut_up', mend: 'tell_parts' },
  sliced: { code: 'sliced', mend: 'other_time' },
  taken: { code: 'taken', mend: 'other_time' },
}

/** Why a piece in a stage cannot be had for a step, and what mends it. */
export const CONTRADICTION_OF: Readonly<Record<Stage, { code: ContradictionCode; mend: Mend }>> = {
  cure: { code: 'still_curing', mend: 'tell_out' },
  soak: { code: 'in_water', mend: 'other_time' },
  dry: { code: 'out_of_cure', mend: 'other_time' },
  heat: { code: 'in_heat', mend: 'tell_heat_end' },
  rest: { code: 'out_of_cure', mend: 'other_time' },
  hang: { code: 'out_of_cure', mend: 'other_time' },
}
