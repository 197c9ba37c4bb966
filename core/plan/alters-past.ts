import type { RhythmSegment } from '../turning/rhythm'

/**
 * Whether a new rhythm is another than the old on days gone by: what was to be turned then, and was not, cannot be
 * edited away. `today` is the turning day now; a change begins on the next at the earliest.
 */
export function altersPast(before: readonly RhythmSegment[], after: readonly RhythmSegment[], today: number): boolean {
  const gone = (rhythm: readonly RhythmSegment[]) => rhythm.filter(segment => segment.fromDay <= today)
  const [was, is] = [gone(before), gone(after)]
  return was.length !== is.length || was.some((segment, i) => !alike(segment, is[i]!))
}

const alike = (a: RhythmSegment, b: RhythmSegment): boolean =>
  a.fromDay === b.fromDay && a.everyDays === b.everyDays && a.how === b.how && (a.earliest ?? null) === (b.earliest ?? null)

/** A rhythm that goes on as it was up to today, and then as wanted. */
export const rhythmFrom = (before: readonly RhythmSegment[], wanted: RhythmSegment, today: number): RhythmSegment[] => [
  ...before.filter(segment => segment.fromDay <= today),
  { ...wanted, fromDay: today + 1 },
]
