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
import type { Notation } from '#core/units/format'
import type { Ask, LaidFigures, Named, OfLot } from './told-kind'

/**
 * Each kind that a press can tell, by its name, in the order in which a row's menu names them. A rub, a heat and a
 * slicing are told with rows of their own.
 */
const TOLD = {
  drain,
  turn,
  look,
  soak,
  fry_test: fryTest,
  dry,
  rest,
  flavour,
  hang,
  humidity,
  weigh,
  add,
  move,
  cut,
  take,
  out,
} satisfies Partial<Record<StepKind, unknown>>
export type ToldKind = keyof typeof TOLD
export const TOLD_KINDS = Object.keys(TOLD) as ToldKind[]

type Input = (typeof TOLD)[ToldKind]['input']
/** What can be told by a press, each kind with what it says. */
export const stepInput = z.discriminatedUnion('kind', Object.values(TOLD).map(kind => kind.input) as [Input, ...Input[]])
export type StepInput = z.output<typeof stepInput>

/** What a step that was told says, as it is laid down. */
export const laidOf = <S extends StepInput>(step: S, of: OfLot): LaidFigures<S['kind']> & { kind: S['kind'] } => {
  // The compiler cannot follow which of them it is: each kind lays down what it tells.
  const { laid } = TOLD[step.kind] as { laid: (step: S, of: OfLot) => LaidFigures<S['kind']> }
  return { kind: step.kind, ...laid(step, of) }
}

/** What was done to the pieces, by kind: "put into water". */
export const DONE = Object.fromEntries(TOLD_KINDS.map(kind => [kind, TOLD[kind].done])) as Record<ToldKind, string>

/** A step in the book: "Soaked for 30 min, 4 L". */
export const toldWords = <S extends StepInput>(step: S, of: Named, as: Notation): string => {
  const { told } = TOLD[step.kind] as { told: (step: S, of: Named, as: Notation) => string }
  return told(step, of, as)
}

type AsksOf<K extends ToldKind> = (typeof TOLD)[K]['asks']
/** What a row can ask for, by its name. */
export type AskName = { [K in ToldKind]: keyof AsksOf<K> & string }[ToldKind]
export const ASKS = Object.assign({}, ...TOLD_KINDS.map(kind => TOLD[kind].asks)) as Record<AskName, Ask>

/** Kinds that the shop may ask back about, so that they can be insisted on. */
const MAY_INSIST: ReadonlySet<string> = new Set(TOLD_KINDS.filter(kind => 'sure' in TOLD[kind].input.shape))
/** The steps once more, insisted on where their kind knows of it. */
export const insistedOn = <S extends { kind: ToldKind }>(steps: readonly S[]): (S | (S & { sure: true }))[] =>
  steps.map(step => (MAY_INSIST.has(step.kind) ? { ...step, sure: true } : step))
