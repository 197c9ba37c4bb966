import { isThat, kindsThat, type FiguresOfStep, type StepKind } from '#core/life/kinds/all-kinds'
import { HEAT_FROM_C } from '#core/rules/house'
import type { DoneStep } from '#core/plan/progress'
import type { Milliseconds } from '#core/units/quantities'

/** Kinds of step that the rooms are told of: what a plan asks for, and turns. */
export const SHOWN_KINDS: StepKind[] = ['turn', ...kindsThat('asked')]

interface StepRow {
  kind: StepKind
  fromAtMs: Milliseconds
  toAtMs: Milliseconds | null
  pieces: readonly number[]
  figures: FiguresOfStep[StepKind]
}

/** Steps of a lot as its plan asks of them, in order of happening. `count`: of the lot's pieces. */
export const doneSteps = (rows: readonly StepRow[], count: number): DoneStep[] =>
  rows
    .filter(row => isThat(row.kind, 'asked'))
    .map(({ kind, fromAtMs: fromMs, toAtMs: toMs, pieces, figures }) => ({
      kind,
      fromMs,
      toMs,
      pieces: pieces.length === count ? null : [...pieces],
      ...saidOf(kind, figures),
    }))

function saidOf(kind: StepKind, figures: unknown): Partial<DoneStep> {
  const said = <K extends StepKind>() => figures as FiguresOfStep[K]
  const against = () => {
    const { against: asks } = said<'slice'>()
    return asks ? { against: asks } : {}
  }
  switch (kind) {
    case 'out':
      return { rinses: said<'out'>().rinses, ...against() }
    case 'heat':
      return { hot: said<'heat'>().targetC > HEAT_FROM_C, ...against() }
    case 'slice':
      return against()
    case 'fry_test':
      return { verdict: said<'fry_test'>().verdict }
    case 'dry':
    case 'rest':
    case 'flavour':
      return { how: said<'dry' | 'rest' | 'flavour'>().how }
    case 'weigh': {
      const weighed = said<'weigh'>()
      return weighed.what === 'meat' ? { netG: weighed.netG } : {}
    }
    case 'humidity':
      return { percent: said<'humidity'>().percent }
    case 'look': {
      const { surface } = said<'look'>()
      return surface ? { surface } : {}
    }
    default:
      return {}
  }
}
