import { upperFirst } from '#core/lists/upper-first'
import { groupBy } from '#core/lists/group-by'
import { wordList } from '#core/lists/word-list'
import { formatSpan } from '#core/units/format-span'
import { formatMeat, formatNumber, formatPpm, type Notation } from '#core/units/format'
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE, type Milliseconds } from '#core/units/quantities'
import type { TurnWay } from '#core/turning/rhythm'
import type { Feel, Surface } from '#core/life/kinds/look'
import type { FryVerdict, SaltTaste } from '#core/life/kinds/fry-test'
import { DRY_WORDS, FLAVOURED, ON_FACE, REST_WORDS, TAKE_WORDS } from '#shared/messages/steps'
import { STATUS_WORDS } from '#shared/messages/verdict'
import { leastWords } from '#shared/messages/stayed'
import type { ComputedOf, TypedOf } from '#shared/contracts/records'
import type { StepInput } from '#shared/steps/all-told'
import { piecesWords } from '#shared/messages/pieces'

const TURN: Record<TurnWay, string> = { turned: 'Turned', massaged: 'Massaged', stirred: 'Stirred' }
export const FEEL_WORDS: Record<Feel, string> = {
  raw: 'as raw',
  edges_firm: 'edges firm',
  soft_middle: 'firm but soft in the middle',
  stiff: 'stiff throughout',
}
export const SURFACE_WORDS: Record<Surface, string> = { wet: 'wet', damp: 'damp', tacky: 'tacky', dry: 'dry' }
export const SALT_WORDS: Record<SaltTaste, string> = {
  1: 'far too little salt',
  2: 'a little short of salt',
  3: 'salt right',
  4: 'a little salty',
  5: 'far too salty',
}
const FRY_WORDS: Record<FryVerdict, string> = { done: 'done', again: 'to be soaked again' }
export const ROUGH_WORDS = {
  one_spoon: 'a spoonful',
  some_spoons: 'two or three spoonfuls',
  many_spoons: 'four to six spoonfuls',
  few_spoons: 'a few spoonfuls',
  cup: 'about a cup',
  more: 'more than a cup',
} as const

/** How much left, as it was told. */
export function liquidWords(liquid: Extract<StepInput, { kind: 'drain' }>['liquid'], as: Notation): string {
  if (liquid === null) return 'nobody saw how much'
  if (liquid.told === 'weighed') return formatMeat(liquid.weight.netG, as)
  return liquid.told === 'ml' ? `${formatNumber(liquid.ml, 0, as.decimal)} mL` : ROUGH_WORDS[liquid.rough]
}

/** What was said of it beside the amount; records of before do not know all of it. */
function drainWords(step: Extract<StepInput, { kind: 'drain' }>, as: Notation): string {
  const { how, liquid, back, saltLies, tookSalt } = step
  const more = [back && 'poured back', saltLies && 'salt still lay there', tookSalt && 'salt went with it'].filter(Boolean)
  return [`${how === 'leaked' ? 'Leaked' : 'Drained'}: ${liquidWords(liquid, as)}`, ...more].join(', ')
}

const SEEN = {
  colour: { raw: 'colour raw', patchy: 'colour patchy', even: 'colour even' },
  liquid: { dry: 'lies dry', some: 'some liquid', much: 'much liquid' },
  smell: { clean: 'smells clean', off: 'smells OFF' },
  spots: { none: 'no spots', grey: 'grey spots' },
} as const

const MOULD_WORDS = { none: 'no mould', white: 'white mould', other: 'mould, NOT white' } as const
/** Each of it only where it was said. Records of before know the feel and the note alone. */
function lookWords({ feel, note, photoId, ...seen }: Extract<StepInput, { kind: 'look' }>): string {
  const said = [
    feel && FEEL_WORDS[feel],
    seen.colour && SEEN.colour[seen.colour],
    seen.liquid && SEEN.liquid[seen.liquid],
    seen.smell && SEEN.smell[seen.smell],
    seen.spots && SEEN.spots[seen.spots],
    seen.mould && MOULD_WORDS[seen.mould],
    seen.surface && `surface ${SURFACE_WORDS[seen.surface]}`,
    photoId && 'with a photo',
    note && `“${note}”`,
  ].filter(Boolean)
  return `Looked at${said.length ? `: ${said.join(', ')}` : ''}`
}

const lastedWords = (minutes: number | null): string => (minutes === null ? '' : ` for ${formatSpan(minutes * MS_PER_MINUTE)}`)
const inPlace = (placeId: number | null, places: Readonly<Record<number, string>>): string =>
  placeId === null ? '' : `, ${places[placeId] ?? 'in another place'}`

function soakWords({ litres, water, changes }: Extract<StepInput, { kind: 'soak' }>, as: Notation): string {
  const said = [
    litres !== null && `${formatNumber(litres, 1, as.decimal)} L`,
    water && `water ${water.typed}`,
    changes > 0 && `water changed ${changes === 1 ? 'once' : `${changes} times`}`,
  ].filter(Boolean)
  return said.map(one => `, ${one}`).join('')
}

/** "Kitchen salt 12 g, Pepper not weighed". */
function putWords({ parts }: Extract<StepInput, { parts: unknown }>, names: Readonly<Record<string, string>>): string {
  return parts
    .map(({ lotCode, weighed }) => `${lotCode} ${names[lotCode] ?? ''} ${weighed ? `“${weighed.typed}”` : 'not weighed'}`)
    .join(', ')
}

/** "Cut into 3a “1.2 kg” and 3b “900 g”; off it rind “160 g”". */
function cutWords({ into, offcuts, whole }: Extract<StepInput, { kind: 'cut' }>, labels: readonly string[]): string {
  const parts = into.map(({ weight, tag }, i) => `${labels[i] ?? 'a part'} “${weight.typed}”${tag ? `, tagged ${tag}` : ''}`)
  const off = offcuts.map(({ kind, weight }) => `${kind} “${weight.typed}”`)
  const before = whole ? `, “${whole.typed}” before it` : ''
  return `Cut into ${wordList(parts)}${off.length > 0 ? `; off it ${wordList(off)}` : ''}${before}`
}

/** "“5.1 kg”", or each group of pieces with its weight. */
function weighedWords(
  { weight, groups = [] }: Extract<StepInput, { kind: 'weigh' }>,
  labels: readonly (readonly (number | string)[])[],
): string {
  if (weight) return `“${weight.typed}”`
  return wordList(groups.map((group, i) => `${wordList(labels[i] ?? [])} “${group.weight.typed}”`))
}

interface Named {
  places: Readonly<Record<number, string>>
  names?: Readonly<Record<string, string>>
  steps: ComputedOf<'step'>['steps']
}
function stepWords(step: StepInput, { places, names = {}, steps }: Named, as: Notation): string {
  const into = steps.find(one => one.into)?.into ?? []
  const weighed = steps.filter(one => one.kind === 'weigh').map(one => one.pieces)
  switch (step.kind) {
    case 'turn':
      return `${TURN[step.how]}${step.face ? `, ${step.face} up` : ''}`
    case 'drain':
      return drainWords(step, as)
    case 'weigh':
      return `Weighed: ${weighedWords(step, weighed)}${step.saltLies ? ', salt lies on it' : ''}`
    case 'look':
      return lookWords(step)
    case 'move':
      return `Moved to ${places[step.placeId] ?? 'another place'}${step.spot ? `, ${step.spot}` : ''}`
    case 'soak':
      return `Soaked${lastedWords(step.minutes)}${soakWords(step, as)}`
    case 'fry_test':
      return `Fried a slice: ${SALT_WORDS[step.salt]}, ${FRY_WORDS[step.verdict]}`
    case 'dry':
      return `Drying ${DRY_WORDS[step.how]}${lastedWords(step.minutes)}${inPlace(step.placeId, places)}`
    case 'rest':
      return `Resting ${REST_WORDS[step.how]}${lastedWords(step.minutes)}${inPlace(step.placeId, places)}`
    case 'hang': {
      const hooks = step.hooks.length > 0 ? `, hooks ${wordList(step.hooks.map(one => one.hook))}` : ''
      return `Hung to dry${inPlace(step.placeId, places)}${hooks}`
    }
    case 'take':
      return `Taken away: ${TAKE_WORDS[step.why]}`
    case 'humidity':
      return `Air set to ${step.percent} %`
    case 'add':
      return `More ${ON_FACE[step.face]}: ${putWords(step, names)}`
    case 'flavour':
      return `${FLAVOURED[step.how]}${step.how === 'marinade' ? lastedWords(step.minutes) : ''}: ${putWords(step, names)}`
    case 'cut':
      return cutWords(step, into)
    case 'out':
      return step.rinses === 0
        ? 'Out of the cure, not rinsed'
        : `Out of the cure, rinsed${step.rinses !== null && step.rinses > 1 ? ` ${step.rinses} times` : ''}`
  }
}

/** "20 min", "3 h", "2 days": how much later something was told. */
function laterWords(ms: Milliseconds): string {
  if (ms < MS_PER_HOUR) return `${Math.round(ms / MS_PER_MINUTE)} min`
  return ms < MS_PER_DAY ? `${Math.round(ms / MS_PER_HOUR)} h` : `${Math.round(ms / MS_PER_DAY)} days`
}

/** " Told 3 h later."; nothing where it was told as it happened. */
export const lateWords = ({ lateMs = 0 }: { lateMs?: Milliseconds }): string =>
  lateMs >= MS_PER_MINUTE ? ` Told ${laterWords(lateMs)} later.` : ''

/** "L-0042: pieces 1 and 3; from the bottom now 3, 1" where not all lots and pieces share one list. */
function whichWords(steps: ComputedOf<'step'>['steps']): string {
  return [...groupBy(steps, step => step.lot)]
    .map(([lot, mine]) => {
      const { stacks = [], instead } = mine.at(-1)!
      const pieces = [...new Set(mine.flatMap(step => step.pieces))]
      const one = pieces.length === 1 ? 'it was' : 'they were'
      const told = instead ? `, told of ${wordList(instead)}, as ${one} then` : ''
      const lies = stacks.length > 0 ? `, from the bottom now ${stacks.map(stack => stack.join(', ')).join(' and ')}` : ''
      return `${lot}: ${piecesWords(pieces)}${told}${lies}`
    })
    .join('; ')
}

/** "at least 142 ppm", "up to 180 ppm", "151 ppm". */
const nitriteWords = (one: NonNullable<ComputedOf<'step'>['nitrite']>[number], as: Notation): string =>
  one.meaning === 'open'
    ? `at least ${formatPpm(one.lowPpm, as)}`
    : `${one.meaning === 'upper_bound' ? 'up to ' : ''}${formatPpm(one.ppm, as)}`

/** A press in the book: what was done, to which pieces, and how much later it was told. */
export function pressWords(typed: TypedOf<'step'>, computed: ComputedOf<'step'>, as: Notation): string {
  const done = typed.steps.map(step => `${stepWords(step, computed, as)}.`).join(' ')
  const late = lateWords(computed)
  // Of one lot alone its code is said already.
  const isAlone = new Set(computed.steps.map(step => step.lot)).size === 1
  const of = (lot: string, words: string) => (isAlone ? ` ${upperFirst(words)}.` : ` ${lot}: ${words}.`)
  const stayed = (computed.stayed ?? []).map(one => of(one.lot, leastWords(one.leastPpm, one.why, as))).join('')
  const nitrite = (computed.nitrite ?? [])
    .map(one => of(one.lot, `${nitriteWords(one, as)}, ${STATUS_WORDS[one.status]}`))
    .join('')
  return `${done} ${whichWords(computed.steps)}.${late}${nitrite}${stayed}`
}
