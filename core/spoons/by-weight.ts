import { CURING_SALT_NO_1 } from '../cure/agent'
import { formulate, type Formulation } from '../cure/formulate'
import { ok, type Result } from '../result'
import type { Fraction, Grams, Ppm } from '../units/quantities'
import { writtenShare, type SpoonFindings, type SpoonLine } from './check-spoons'

const SALT_STEP = 0.001
const SPICE_STEP = 0.0001
const READABILITY_G = 0.1

export interface ByWeight extends Formulation {
  hasAgent: boolean
  saltShare: Fraction
  sugarShare: Fraction
  /** What the curing salt is weighed for; without it, of no meaning. */
  nitritePpm: Ppm
  spices: { name: string; share: Fraction }[]
}

/**
 * A recipe in spoons, written by weight: shares of green weight from the middle of what was meant, salt in all. Nitrite
 * is not taken from the spoons: it is the house's target, or midway between floor and limit where that is lower.
 * `found` is what `checkSpoons` said of these lines; meatG more than 0. Fails as `formulate` does.
 */
export function byWeight(
  lines: readonly Pick<SpoonLine, 'grain'>[],
  found: SpoonFindings,
  meatG: Grams,
  aim: { houseTargetPpm: Ppm; floorPpm: Ppm; maxPpm: Ppm },
): Result<ByWeight> {
  const hasAgent = found.ppm.high > 0
  const shares = {
    saltShare: writtenShare(found.saltShare, SALT_STEP),
    sugarShare: writtenShare(found.sugarShare, SALT_STEP),
  }
  const nitritePpm = Math.min(aim.houseTargetPpm, Math.floor((aim.floorPpm + aim.maxPpm) / 2))
  const made = formulate({
    piecesG: [meatG],
    agent: hasAgent ? CURING_SALT_NO_1 : null,
    targets: { ...shares, saltBasis: 'total', nitritePpm },
    readabilityG: READABILITY_G,
  })
  if (!made.ok) return made
  const spices = lines.flatMap(({ grain }, i) =>
    grain.role === 'spice' ? [{ name: grain.name, share: writtenShare(found.lines[i]!.share, SPICE_STEP) }] : [],
  )
  return ok({ ...made.value, ...shares, nitritePpm, hasAgent, spices })
}
