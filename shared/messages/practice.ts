import { formatIngredient, formatMeat, formatPpm, type Notation } from '#core/units/format'
import type { ProblemKey } from '../practice/problems'

type Figures = Record<string, number>
interface ProblemWords {
  title: string
  story: (f: Figures, as: Notation) => string
  ask: string
  why: (f: Figures, as: Notation) => string
}

const m = (f: Figures, key: string, as: Notation) => formatMeat(f[key]!, as)
const g = (f: Figures, key: string, as: Notation, d = 0.1) => formatIngredient(f[key]!, as, d)
const ppm = (f: Figures, key: string, as: Notation) => formatPpm(f[key]!, as)

/** The worked bench problems in words. */
export const PRACTICE_WORDS: Record<ProblemKey, ProblemWords> = {
  wrong_tare: {
    title: 'The tub that was weighed along',
    story: (f, as) =>
      `Four rind-off bellies stand on the scale in their tub: ${m(f, 'grossG', as)}. `
      + `Nobody took off the tub, which weighs ${m(f, 'tubG', as)}. `
      + `For 150 ppm, ${g(f, 'agentG', as)} of curing salt no. 1 was weighed and rubbed in.`,
    ask: 'How many ppm does the meat really have?',
    why: (f, as) =>
      `The meat weighs ${m(f, 'grossG', as)} less the tub. `
      + `The same curing salt on less meat is ${ppm(f, 'realPpm', as)}, not ${ppm(f, 'thoughtPpm', as)}: `
      + 'weight 2 hangs right of weight 1. A heavier tub would have passed the limit. '
      + 'Enter weights as gross - tub, and the tub cannot be forgotten.',
  },
  equal_scoops: {
    title: 'Two scoops for two slabs',
    story: (f, as) =>
      `A mix with ${g(f, 'agentG', as)} of no. 1 is dealt out in two equal scoops: `
      + `one on a slab of ${m(f, 'lightG', as)}, one on a slab of ${m(f, 'heavyG', as)}.`,
    ask: 'How many ppm does the light slab get?',
    why: (f, as) =>
      `Each scoop holds half the curing salt. On the light slab that is ${ppm(f, 'lightPpm', as)}, `
      + `above the limit; on the heavy one ${ppm(f, 'heavyPpm', as)}, below the floor. `
      + `The lot's own figure looks fine and hides both. Share by weight.`,
  },
  no_2: {
    title: 'The wrong pink jar',
    story: (f, as) =>
      `${m(f, 'meatG', as)} of belly for bacon was rubbed with ${g(f, 'agentG', as)} of curing salt. `
      + 'At night the maker sees that the jar was no. 2, not no. 1.',
    ask: 'What now?',
    why: (f, as) =>
      'The nitrite is the same and hangs in the middle of the beam. But no. '
      + `2 also brought ${ppm(f, 'nitratePpm', as)} of nitrate, which is not allowed in bacon and not used up in a `
      + `week's cure. Rinsing takes an unknown part away. `
      + 'Hold the lot, write it down, and let the owner decide with the inspector.',
  },
  coarse_scale: {
    title: 'Four grams on the kitchen scale',
    story: (f, as) =>
      `The kitchen scale reads to 1 g. It shows ${g(f, 'agentG', as, 1)} of no. `
      + `1 for ${m(f, 'meatG', as)} of rind-off belly, weighed to 5 g. The label says 6.25 % ± 0.25.`,
    ask: 'What is the least ppm it can be?',
    why: (f, as) =>
      '4 g on a 1 g scale is anything from 3.5 to 4.5 g. '
      + `With the label's weaker end and the meat's heavier, that is ${ppm(f, 'lowPpm', as)}; `
      + `at the other ends ${ppm(f, 'highPpm', as)}. The figure of ${ppm(f, 'ppm', as)} is right in the middle, `
      + 'but this weighing cannot show that the lot is above the floor. A scale that reads to 0.1 g can.',
  },
  rind_on: {
    title: 'With its rind on',
    story: (f, as) =>
      `A belly with its rind on, ${m(f, 'meatG', as)}. ${g(f, 'agentG', as)} of no. 1 lies ready. The United States rules hold.`,
    ask: 'May it be rubbed so?',
    why: (f, as) =>
      'Rind takes almost no cure and is about a tenth of a belly, '
      + `so the limit is ${ppm(f, 'maxPpm', as)} instead of 200. ${ppm(f, 'ppm', as)} is above it. `
      + 'Weigh less, or take the rind off and weigh again.',
  },
  teaspoons: {
    title: 'Two level teaspoons',
    story: (f, as) => `An old recipe says: two level US teaspoons of no. 1 for ${m(f, 'meatG', as)} of rind-off belly.`,
    ask: 'What can be said of it?',
    why: (f, as) =>
      `Two teaspoons hold ${g(f, 'lowG', as)} to ${g(f, 'highG', as)}, by grain and by hand: `
      + `${ppm(f, 'lowPpm', as)} to ${ppm(f, 'highPpm', as)}. Part of that is inside and part above the limit. `
      + 'From spoons it cannot be told; weigh it.',
  },
  take_off: {
    title: 'Too much in the bowl',
    story: (f, as) =>
      `${m(f, 'meatG', as)} of rind-off belly, target 150 ppm. The scale shows ${g(f, 'agentG', as)} of no. `
      + '1 in the bowl; nothing is mixed yet.',
    ask: 'How many grams come off again?',
    why: (f, as) =>
      `150 ppm takes ${g(f, 'rightG', as)}: weight 2. ${g(f, 'agentG', as)} would have been ${ppm(f, 'ppm', as)}: weight 1.`,
  },
}

export const CHOICE_WORDS: Record<string, string> = {
  use: 'Use it: the nitrite is the same',
  rinse: 'Rinse it well and use it',
  hold: 'Hold the lot and ask',
  yes: 'Yes',
  no: 'No',
  below_floor: 'Below the floor',
  inside: 'Inside',
  above_limit: 'Above the limit',
  cannot_tell: 'It cannot be told from spoons',
}
