import { LASTED_RANGE_MINUTES } from '#core/rules/ranges'
import { z } from 'zod'
import { FLAVOUR_WAYS, type FlavourWay } from '#core/life/kinds/flavour'
import { instrumentId } from '../entry/instrument-id'
import { whole } from '../entry/fields'
import { puts, sure } from './entries'
import { toldKind } from './told-kind'
import { lastedWords, putWords } from './told-words'

/** How flavour went on. */
export const FLAVOURED: Readonly<Record<FlavourWay, string>> = {
  marinade: 'In a marinade',
  dry_spice: 'Dry spice on',
  glaze: 'Glazed',
}

/** Flavour after the cure; a marinade goes on, or lasted so many minutes. */
export const flavour = toldKind(
  z.strictObject({
    kind: z.literal('flavour'),
    how: z.enum(FLAVOUR_WAYS),
    minutes: whole({ ...LASTED_RANGE_MINUTES, min: 0 }).nullable(),
    parts: puts(),
    scaleId: instrumentId(),
    sure: sure(),
  }),
  ({ how, parts }, { readabilityG }) => ({
    figures: { how, readabilityG, unweighed: parts.some(part => part.weighed === null) },
  }),
  {
    done: 'flavoured',
    told: (step, of) =>
      `${FLAVOURED[step.how]}${step.how === 'marinade' ? lastedWords(step.minutes) : ''}: ${putWords(step, of)}`,
    asks: { flavour: { verb: 'Flavoured: ', menu: { after: 'Flavour…' } } },
  },
)
