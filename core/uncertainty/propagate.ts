/**
 * A figure and how it may be off: `worst` is its greatest error, `standard` its standard uncertainty, both in its own
 * unit.
 */
export interface Uncertain {
  value: number
  worst: number
  standard: number
}

export const COVERAGE_K = 2
/** Standard deviation of a uniform distribution of full width 1. */
export const UNIFORM_SD = 1 / Math.sqrt(12)
/** Share of its worst error by which an input is moved to see its slope. */
const NUDGE = 1e-3

/** The sum of `readings` readings of a scale, each uniform within half a division. */
export const scaleFigure = (value: number, division: number, readings = 1): Uncertain => ({
  value,
  worst: (readings * division) / 2,
  standard: Math.sqrt(readings) * division * UNIFORM_SD,
})

/** A figure that lies anywhere within a tolerance, uniformly. */
export const withinTolerance = (value: number, tolerance: number): Uncertain => ({
  value,
  worst: tolerance,
  standard: 2 * tolerance * UNIFORM_SD,
})

export interface Bounds {
  value: number
  low: number
  high: number
  expanded: number
}

/**
 * What f(inputs) can be. `f` must rise or fall steadily in each input over its worst error: then the corners hold all
 * there is. `expanded` is the root sum of squares with k = 2, slopes by central difference (GUM, JCGM 100:2008, 5.1.2).
 * Inputs are taken as independent. Relative error of the slopes under 1e-6 for the ratios used here, see
 * propagate.test.
 */
export function propagate(inputs: readonly Uncertain[], f: (x: readonly number[]) => number): Bounds {
  const values = inputs.map(input => input.value)
  const moved = (i: number, by: number) => f(values.map((value, k) => (k === i ? value + by : value)))
  const slopes = inputs.map(({ worst }, i) =>
    worst > 0 ? (moved(i, worst * NUDGE) - moved(i, -worst * NUDGE)) / (2 * worst * NUDGE) : 0,
  )
  const corner = (sign: 1 | -1) => f(inputs.map(({ value, worst }, i) => value + sign * Math.sign(slopes[i]!) * worst))
  return {
    value: f(values),
    low: corner(-1),
    high: corner(1),
    expanded: COVERAGE_K * Math.hypot(...inputs.map(({ standard }, i) => slopes[i]! * standard)),
  }
}
