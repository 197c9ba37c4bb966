import { MS_PER_MINUTE, type Milliseconds } from '#core/units/quantities'

/** Askers that are remembered; older ones begin anew. */
const MOST_KNOWN = 2000

/**
 * Counts how often each asker asks. Answers with null while it is no more than `mostAMinute`, else with the seconds to
 * wait. One process counts for itself: it guards the machine, not a secret.
 */
export function limiter(mostAMinute: number): (asker: string, nowMs: Milliseconds) => number | null {
  const asked = new Map<string, { fromMs: Milliseconds; times: number }>()
  return (asker, nowMs) => {
    const known = asked.get(asker)
    const going = known && nowMs - known.fromMs < MS_PER_MINUTE ? known : { fromMs: nowMs, times: 0 }
    going.times += 1
    asked.delete(asker)
    asked.set(asker, going)
    if (asked.size > MOST_KNOWN) asked.delete(asked.keys().next().value!)
    return going.times <= mostAMinute ? null : Math.ceil((going.fromMs + MS_PER_MINUTE - nowMs) / 1000)
  }
}
