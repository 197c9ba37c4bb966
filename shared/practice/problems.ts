import { AGENT_TYPES } from '#core/agents/agent-kinds'
import { CURING_SALT_NO_1, type CuringAgent } from '#core/cure/agent'
import type { CureWeighed } from '#core/cure/cure-weighed'
import { equalScoopsPpm, lotPpm, type PpmWithBounds } from '#core/cure/pieces-ppm'
import type { Cut, Rind } from '#core/rules/cuts'
import { limitsFor } from '#core/rules/limits'
import { US_RULES } from '#core/rules/sets/us-rules'
import { checkSpoons } from '#core/spoons/check-spoons'
import { grainOf } from '#core/spoons/grains'
import { parseSpoons } from '#core/spoons/parse-spoons'
import type { Grams, Ppm } from '#core/units/quantities'

export type ProblemKey = 'wrong_tare' | 'equal_scoops' | 'no_2' | 'coarse_scale' | 'rind_on' | 'teaspoons' | 'take_off'

/**
 * A worked bench problem: made-up numbers, its answer by the same arithmetic as the Bench, and what then hangs on the
 * beam.
 */
export interface PracticeProblem {
  key: ProblemKey
  /** A figure in ppm or grams, or one of several choices. */
  answer: { kind: 'ppm' | 'grams'; value: number } | { kind: 'choice'; choices: readonly string[]; right: string }
  beam: { floorPpm: Ppm; maxPpm: Ppm; pieces: PpmWithBounds[] }
  /** Figures of the story, for its words. */
  figures: Record<string, number>
}

const limits = (cut: Cut, rind: Rind) => {
  const found = limitsFor({ rules: US_RULES, cut, method: 'dry', rind })!
  return { floorPpm: found.floorPpm, maxPpm: found.maxPpm }
}
const cure = (
  weights: readonly number[],
  agentG: Grams,
  agent: CuringAgent = CURING_SALT_NO_1,
  mixReadabilityG = 0.1,
): CureWeighed => ({
  pieces: weights.map(massG => ({ massG, readings: 1 })),
  meatReadabilityG: 5,
  agent,
  agentG,
  mixG: agentG * 14,
  mixReadabilityG,
})

function wrongTare(): PracticeProblem {
  const [grossG, tubG, agentG] = [9450, 1150, 22.7]
  const thought = lotPpm(cure([grossG], agentG))
  const real = lotPpm(cure([grossG - tubG], agentG))
  return {
    key: 'wrong_tare',
    answer: { kind: 'ppm', value: real.ppm },
    beam: { ...limits('belly', 'off'), pieces: [thought, real] },
    figures: { grossG, tubG, agentG, thoughtPpm: thought.ppm, realPpm: real.ppm },
  }
}

function equalScoops(): PracticeProblem {
  const [lightG, heavyG, agentG] = [1200, 2900, 9.8]
  const scoops = equalScoopsPpm(cure([lightG, heavyG], agentG))
  return {
    key: 'equal_scoops',
    answer: { kind: 'ppm', value: scoops[0]!.ppm },
    beam: { ...limits('belly', 'off'), pieces: scoops },
    figures: { lightG, heavyG, agentG, lightPpm: scoops[0]!.ppm, heavyPpm: scoops[1]!.ppm },
  }
}

function noTwo(): PracticeProblem {
  const [meatG, agentG] = [2000, 4.8]
  const no2 = AGENT_TYPES.find(type => type.kind === 'no_2')!.usual
  return {
    key: 'no_2',
    answer: { kind: 'choice', choices: ['use', 'rinse', 'hold'], right: 'hold' },
    beam: { ...limits('belly', 'off'), pieces: [lotPpm(cure([meatG], agentG, no2))] },
    figures: { meatG, agentG, nitratePpm: (1e6 * agentG * no2.nitrateFraction) / meatG },
  }
}

function coarseScale(): PracticeProblem {
  const [meatG, agentG] = [1840, 4]
  const got = lotPpm(cure([meatG], agentG, CURING_SALT_NO_1, 1))
  return {
    key: 'coarse_scale',
    answer: { kind: 'ppm', value: got.lowPpm },
    beam: { ...limits('belly', 'off'), pieces: [got] },
    figures: { meatG, agentG, ppm: got.ppm, lowPpm: got.lowPpm, highPpm: got.highPpm },
  }
}

function rindOn(): PracticeProblem {
  const [meatG, agentG] = [3000, 9]
  const got = lotPpm(cure([meatG], agentG))
  const beam = limits('belly', 'on')
  return {
    key: 'rind_on',
    answer: { kind: 'choice', choices: ['yes', 'no'], right: got.ppm > beam.maxPpm ? 'no' : 'yes' },
    beam: { ...beam, pieces: [got] },
    figures: { meatG, agentG, ppm: got.ppm, maxPpm: beam.maxPpm },
  }
}

function teaspoons(): PracticeProblem {
  const meatG = 3500
  const amount = parseSpoons('2 tsp', 'us')
  if (!amount.ok) throw new Error(amount.code)
  const beam = limits('belly', 'off')
  const found = checkSpoons(
    [{ grain: grainOf('curing_salt_no_1')!, amount: amount.value }],
    meatG,
    { ...CURING_SALT_NO_1, labelTolerance: 0 },
    beam,
  )
  const { low, high } = found.ppm
  return {
    key: 'teaspoons',
    answer: { kind: 'choice', choices: ['below_floor', 'inside', 'above_limit', 'cannot_tell'], right: found.verdict },
    beam: { ...beam, pieces: [{ ppm: (low + high) / 2, lowPpm: low, highPpm: high, expandedPpm: 0 }] },
    figures: { meatG, lowG: found.lines[0]!.massG.low, highG: found.lines[0]!.massG.high, lowPpm: low, highPpm: high },
  }
}

function takeOff(): PracticeProblem {
  const [meatG, agentG, targetPpm] = [1840, 6.3, 150]
  const rightG = (targetPpm * meatG) / (1e6 * CURING_SALT_NO_1.nitriteFraction)
  const heavy = lotPpm(cure([meatG], agentG))
  return {
    key: 'take_off',
    answer: { kind: 'grams', value: agentG - rightG },
    beam: { ...limits('belly', 'off'), pieces: [heavy, lotPpm(cure([meatG], rightG))] },
    figures: { meatG, agentG, targetPpm, ppm: heavy.ppm, rightG },
  }
}

/** The set, in the order it is worked. */
export const practiceProblems = (): PracticeProblem[] => [
  wrongTare(),
  equalScoops(),
  noTwo(),
  coarseScale(),
  rindOn(),
  teaspoons(),
  takeOff(),
]

/** A figure counts as right within one in fifty, as a calculator rounds it; grams within a division of 0.1 g. */
export function isRight(problem: PracticeProblem, given: number | string): boolean {
  const { answer } = problem
  if (answer.kind === 'choice') return given === answer.right
  return (
    typeof given === 'number' && Math.abs(given - answer.value) <= (answer.kind === 'grams' ? 0.1 : answer.value / 50)
  )
}
