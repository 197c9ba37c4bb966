import { KILL_FROM_C, type CoreReading } from '../smoke/core-reading'
import type { Milliseconds } from '../units/quantities'
import { judgeCooling, type Cooling, type CoolingRule } from './cooling'

export interface PulledRun {
  /** Core readings in the smoker and after it, each in order of time. */
  smoke: readonly CoreReading[]
  cool: readonly CoreReading[]
  pulledAtMs: Milliseconds
}

/** Cooling starts from the last core seen in the smoker, so that no minute between pull and first reading is lost. */
export const coolingReadings = ({ smoke, cool, pulledAtMs }: PulledRun): CoreReading[] => {
  const last = smoke.findLast(reading => reading.atMs <= pulledAtMs)
  return last ? [last, ...cool] : [...cool]
}

/** A core that never reached 54.4 °C was not cooked, and the cooling rule does not speak of it. */
export const needsCooling = (smoke: readonly CoreReading[]): boolean =>
  smoke.some(reading => reading.coreC >= KILL_FROM_C)

export const coolingOf = (run: PulledRun, rule: CoolingRule): Cooling => judgeCooling(coolingReadings(run), rule)

/** Nothing more to record: cooled to the end, or never cooked. Late is done too, and holds its lot. */
export const coolingDone = (run: PulledRun, rule: CoolingRule): boolean =>
  !needsCooling(run.smoke) || coolingOf(run, rule).endMs !== null
