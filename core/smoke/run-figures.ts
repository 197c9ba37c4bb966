import { INSTANT_KILL_C, SALMONELLA_LOG } from '../rules/guideline'
import { HEAT_FROM_C } from '../rules/house'
import type { Celsius } from '../units/quantities'
import type { CoreReading } from '../readings/core-reading'
import { p70Claimed, salmonellaLog } from './salmonella-credit'

/** What a smoke's core readings, in order of time, come to. */
export interface RunFigures {
  /** Salmonella reduction so far, log10, and whether 6.5 log or 70 °C were reached. */
  log: number
  lethal: boolean
  /** Minutes at 70 °C, nothing counted under 60 °C. */
  p70Min: number
  hottestC: Celsius | null
  /** The core was over 30 °C: it is no cold smoke. */
  heated: boolean
}

/** Figures of a smoke, and its credit reading by reading. */
export function runFigures(smoke: readonly CoreReading[]): RunFigures & { credit: number[] } {
  const credit = salmonellaLog(smoke)
  // A loop, not a spread: a logger's night has more readings than a call takes arguments.
  const hottestC = smoke.reduce<Celsius | null>(
    (most, { coreC }) => (most === null || coreC > most ? coreC : most),
    null,
  )
  const log = credit.at(-1) ?? 0
  return {
    credit,
    log,
    hottestC,
    lethal: log >= SALMONELLA_LOG || (hottestC !== null && hottestC >= INSTANT_KILL_C),
    p70Min: p70Claimed(smoke).at(-1) ?? 0,
    heated: hottestC !== null && hottestC > HEAT_FROM_C,
  }
}
