import type { CoolingRule } from '#core/rules/guideline'
import { type PackedReadings, chamberReadings, coreReadings } from '#core/readings/packed-readings'
import { THERMOMETER_RIGHT_C } from '#core/rules/house'
import { isCold, judgeHeats, type Heat, type LotHeats } from '#core/smoke/heats'
import { type Milliseconds, MS_PER_DAY } from '#core/units/quantities'

/** A smoke with its readings still in columns. */
export type PackedHeat = Omit<Heat, 'smoke' | 'cool' | 'chamber'> & { readings: PackedReadings }

export interface GroupsQuestion {
  heats: readonly PackedHeat[]
  /** Pieces that were in the same smokes stand together: places in `heats`, in order of time, and how they cool. */
  groups: readonly { heats: readonly number[]; rule: CoolingRule }[]
  saltOnly: boolean
  nowMs: Milliseconds
}

/** A smoke as the core takes it. */
export const heatOf = ({ readings, ...heat }: PackedHeat): Heat => ({
  ...heat,
  smoke: coreReadings(readings, 'smoke'),
  cool: coreReadings(readings, 'cool'),
  chamber: chamberReadings(readings),
})

/** Long after anything that is still open would have been missed. */
const FAR_MS = 1000 * 365 * MS_PER_DAY

/** What the heats of a lot's pieces say about growth, and whether no later hour can change it. */
export function judgeGroups(question: GroupsQuestion): { judged: LotHeats; isFinal: boolean } {
  const { groups, saltOnly, nowMs } = question
  const heats = question.heats.map(heatOf)
  const judgedAt = (atMs: Milliseconds): LotHeats => ({
    groups: groups.map(({ heats: places, rule }) =>
      judgeHeats({
        heats: places.map(at => heats[at]!),
        rule,
        saltOnly,
        errorC: THERMOMETER_RIGHT_C,
        nowMs: atMs,
      }),
    ),
    coldRuns: heats.filter(isCold).map(heat => heat.code),
  })
  const judged = judgedAt(nowMs)
  const isOpen
    = heats.some(heat => heat.pulledAtMs === null) || judged.groups.some(group => group.coolingOpen.length > 0)
  return {
    judged,
    isFinal: !isOpen && JSON.stringify(judged) === JSON.stringify(judgedAt(nowMs + FAR_MS)),
  }
}
