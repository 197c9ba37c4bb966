import type { GoneWhy } from './gone'
import { isThat, KINDS, type StepKind } from './kinds/all-kinds'
import type { Stage } from './kinds/stage'

/** Why a step cannot stand where it is told. */
export type ContradictionCode
  = | 'before_rub' | 'rubbed_twice' | 'out_of_cure' | 'still_curing' | 'in_water' | 'in_heat'
    | 'not_yet_cut' | 'cut_up' | 'sliced' | 'taken'

/** What sets it right: another hour; the missing step, told; or one of the two voided. */
export type Mend = 'other_time' | 'tell_out' | 'tell_heat_end' | 'void_one' | 'tell_parts'

/** A kind after which a piece lies elsewhere, or stands in another stage: what lay warm is judged afresh. */
export const changesStand = (kind: StepKind): boolean =>
  isThat(kind, 'movesPiece') || KINDS[kind].becomes !== undefined

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
