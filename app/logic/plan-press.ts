import type { DueKind, DueWhy } from '#core/plan/due-thing'
import { segmentOn, waysOf } from '#core/turning/rhythm'
import { upperFirst } from '#core/lists/upper-first'
import type { Plan, PlanItem } from '#core/plan/plan'
import type { PressStep } from '~/logic/press'
import { PLANNED_TURN_WORDS } from '#shared/messages/plans'
import { DRY_WORDS } from '#shared/steps/dry'
import { REST_WORDS } from '#shared/steps/rest'

/** A finished step that one tap records: what it says on the button, and what was done. */
export interface PlanPress {
  steps: PressStep[]
  label: string
  words: string
}

/** The beginning of an item that lasts, until the next thing ends it; null where more has to be asked. */
function beginOf(item: PlanItem | undefined): PlanPress | null {
  if (item?.kind === 'dry')
    return {
      steps: [{ kind: 'dry', minutes: null, how: item.how, placeId: null }],
      label: item.how === 'rack' ? 'On the rack' : `Drying ${DRY_WORDS[item.how]}`,
      words: `drying ${DRY_WORDS[item.how]}.`,
    }
  if (item?.kind === 'rest')
    return {
      steps: [{ kind: 'rest', minutes: null, how: item.how, placeId: null }],
      label: `Resting, ${REST_WORDS[item.how]}`,
      words: `resting ${REST_WORDS[item.how]}.`,
    }
  return item?.kind === 'soak'
    ? {
        steps: [{ kind: 'soak', minutes: null, litres: null, water: null, changes: 0 }],
        label: 'Into the water',
        words: 'in the water.',
      }
    : null
}

const beginsAtOnce = (item: PlanItem | undefined) => item?.kind === 'dry' || item?.kind === 'soak'

/**
 * The end of the cure as the plan has it: rinsed or not, and straight onto the rack or into the water. `short`: where
 * there is little room.
 */
export function outPress({ then }: Plan): PlanPress & { short: string } {
  const [first] = then
  const rinses = first?.kind === 'rinse' ? first.times : 0
  const next = then[rinses > 0 ? 1 : 0]
  const begins = beginsAtOnce(next) ? beginOf(next) : null
  const out = rinses > 0 ? 'Out, rinsed' : 'Out'
  const more = begins ? `, ${begins.label[0]!.toLowerCase()}${begins.label.slice(1)}` : ''
  return {
    steps: [{ kind: 'out', rinses }, ...(begins?.steps ?? [])],
    label: `${out}${more}`,
    short: out,
    words: `${rinses > 0 ? 'out of the cure and rinsed' : 'out of the cure, not rinsed'}${begins ? `, ${begins.words}` : '.'}`,
  }
}

/** A turn as the plan has it on a turning day: turned, massaged, both in one visit, or stirred. */
export function turnPress({ cure }: Plan, day: number): PlanPress {
  const { how } = segmentOn(cure.rhythm, day) ?? cure.rhythm.at(-1)!
  const words = PLANNED_TURN_WORDS[how]
  return { steps: waysOf(how).map(way => ({ kind: 'turn', how: way, face: null })), label: upperFirst(words), words: `${words}.` }
}

/** What one tap records of something due; null where the tap has to say more. */
export function pressOf(
  { kind, item, because }: { kind: DueKind; item?: PlanItem | undefined; because?: DueWhy | undefined },
  plan: Plan,
  day: number,
): PlanPress | null {
  if (kind === 'turn') return turnPress(plan, day)
  if (kind === 'out') return outPress(plan)
  if (kind === 'humidity' && because?.why === 'humidity') {
    const { percent } = because
    return { steps: [{ kind: 'humidity', percent }], label: `Air at ${percent} %`, words: `air set to ${percent} %.` }
  }
  return beginOf(item)
}
