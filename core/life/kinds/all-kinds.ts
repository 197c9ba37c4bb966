import { add } from './add'
import { cut } from './cut'
import { drain } from './drain'
import { dry } from './dry'
import { flavour } from './flavour'
import { fryTest } from './fry-test'
import { hang } from './hang'
import { heat } from './heat'
import { humidity } from './humidity'
import { look } from './look'
import { move } from './move'
import { out } from './out'
import { rest } from './rest'
import { rub } from './rub'
import { slice } from './slice'
import { soak } from './soak'
import { take } from './take'
import { turn } from './turn'
import { weigh } from './weigh'
import type { Trait } from './kind'
import type { PlanSays } from './plan-says'

/** Each kind of what is done to pieces, by the name under which its steps are stored; the rub itself is the first. */
export const KINDS = {
  rub,
  turn,
  drain,
  look,
  move,
  add,
  weigh,
  out,
  soak,
  fry_test: fryTest,
  dry,
  rest,
  hang,
  humidity,
  flavour,
  heat,
  cut,
  slice,
  take,
} satisfies Record<string, { says?: (figures: never) => PlanSays }>
export type StepKind = keyof typeof KINDS
export const STEP_KINDS = Object.keys(KINDS) as [StepKind, ...StepKind[]]
/** What a step of each kind says beside its pieces, its place and its time. */
export type FiguresOfStep = { [K in StepKind]: (typeof KINDS)[K]['figures'] }

/** Kinds that have a trait, in the order of `STEP_KINDS`: `kindsThat('observed')` are look and fry_test. */
export const kindsThat = (trait: Trait): StepKind[] => STEP_KINDS.filter(kind => KINDS[kind].traits.includes(trait))
/** Whether a kind has a trait. */
export const isThat = (kind: StepKind, trait: Trait): boolean => KINDS[kind].traits.includes(trait)
/** What of a step's figures its plan goes by. */
export function planSays<K extends StepKind>(kind: K, figures: FiguresOfStep[K]): PlanSays {
  const { says } = KINDS[kind] as { says?: (figures: FiguresOfStep[K]) => PlanSays }
  return says?.(figures) ?? {}
}
