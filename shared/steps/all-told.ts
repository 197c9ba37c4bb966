import { z } from 'zod'
import type { StepKind } from '#core/life/kinds/all-kinds'
import { add } from './add'
import { cut } from './cut'
import { drain } from './drain'
import { dry } from './dry'
import { flavour } from './flavour'
import { fryTest } from './fry-test'
import { hang } from './hang'
import { humidity } from './humidity'
import { look } from './look'
import { move } from './move'
import { out } from './out'
import { rest } from './rest'
import { soak } from './soak'
import { take } from './take'
import { turn } from './turn'
import { weigh } from './weigh'
import type { Laid, OfLot } from './told-kind'

/** Each kind that a press can tell, by its name. A rub, a heat and a slicing are told with rows of their own. */
const TOLD = {
  turn,
  drain,
  look,
  move,
  weigh,
  cut,
  out,
  soak,
  fry_test: fryTest,
  dry,
  rest,
  hang,
  take,
  humidity,
  add,
  flavour,
} satisfies Partial<Record<StepKind, unknown>>
export type ToldKind = keyof typeof TOLD
export const TOLD_KINDS = Object.keys(TOLD) as ToldKind[]

type Input = (typeof TOLD)[ToldKind]['input']
/** What can be told by a press, each kind with what it says. */
export const stepInput = z.discriminatedUnion('kind', Object.values(TOLD).map(kind => kind.input) as [Input, ...Input[]])
export type StepInput = z.output<typeof stepInput>

/** What a step that was told says, as it is laid down. */
export const laidOf = <S extends StepInput>(step: S, of: OfLot): Laid<S['kind']> & { kind: S['kind'] } => {
  // Which of them it is the compiler cannot follow: each kind lays down what it tells.
  const { laid } = TOLD[step.kind] as { laid: (step: S, of: OfLot) => Laid<S['kind']> }
  return { kind: step.kind, ...laid(step, of) }
}
