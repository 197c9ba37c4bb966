import type { ContradictionCode } from '#core/life/meaning'
import type { StepKind } from '#core/life/kinds/all-kinds'
import type { Notation } from '#core/units/format'
import type { Milliseconds } from '#core/units/quantities'
import { said } from '../faults/params'
import { STEP_DONE, WHY_NOT } from './steps'

/** Two steps that cannot both be: what was done, and when. */
export type Contradicting = {
  /** The code of the lot, and of its pieces where it is not all of them. */
  code: string
  zone: string
  why: ContradictionCode
  /** The earlier, where there is one; its instant 0 where not. */
  first: StepKind | 'none'
  firstMs: Milliseconds
  second: StepKind
  secondMs: Milliseconds
}

/** Cut up, sliced to the end or taken away, it is the deed itself that stands in the way. */
const IS_DEED: ReadonlySet<ContradictionCode> = new Set<ContradictionCode>(['cut_up', 'sliced', 'taken'])

/** Which two steps cannot both be, in one sentence. */
export function contradictionWords(p: Contradicting, as: Notation): string {
  const at = (ms: Milliseconds) => said.moment(ms, p.zone, as)
  const since = p.first === 'none'
    ? ''
    : IS_DEED.has(p.why) ? ` on ${at(p.firstMs)}` : ` since ${at(p.firstMs)}, when it was ${STEP_DONE[p.first]}`
  return `${p.code} cannot have been ${STEP_DONE[p.second]} on ${at(p.secondMs)}: it ${WHY_NOT[p.why]}${since}.`
}
