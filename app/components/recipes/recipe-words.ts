import type { Fraction } from '#core/units/quantities'
import { formatExact, type Notation } from '#core/units/format'
import type { Plan } from '#core/plan/plan'
import type { Recipe, RecipeSeasoning, RecipeView } from '#shared/contracts/recipes'
import { AGENT_WORDS } from '#shared/messages/agents'
import { planWords } from '#shared/messages/plans'
import { METHOD_WORDS, methodWords } from '#shared/messages/verdict'
import type { RecipeChange } from '#shared/recipes/diff-recipes'

const PER_WORDS = { percent: '%', g_per_kg: 'g per kg', g_per_piece: 'g per piece' }
export const seasoningWords = (s: RecipeSeasoning, as: Notation): string =>
  `${s.name} ${formatExact(s.amount, as.decimal)} ${PER_WORDS[s.per]}${s.group === 'all' ? '' : `, pieces ${s.group}`}`

const FIELD_WORDS: Record<RecipeChange['field'], string> = {
  name: 'Name',
  cut: 'Cut',
  purpose: 'Becomes',
  method: 'Method',
  agent: 'Curing agent',
  nitritePpm: 'Nitrite',
  saltShare: 'Salt',
  saltBasis: 'Salt counted',
  sugarShare: 'Sugar',
  waterShare: 'Water',
  pickUp: 'Pick-up',
  sides: 'Sides',
  days: 'Days',
  plan: 'Plan',
  note: 'Note',
  seasoning: 'Seasoning',
}
export const fieldWords = (field: RecipeChange['field']): string => FIELD_WORDS[field]

const percent = (share: Fraction, as: Notation) => `${formatExact(share * 100, as.decimal)} %`

/** A recipe's value as people read it; null is "none". Values that differ read differently. */
export function valueWords(field: RecipeChange['field'], value: unknown, as: Notation): string {
  if (value === null || value === undefined) return 'none'
  switch (field) {
    case 'nitritePpm':
      return `${formatExact(value as number, as.decimal)} ppm`
    case 'saltShare':
    case 'sugarShare':
    case 'waterShare':
    case 'pickUp':
      return percent(value as number, as)
    case 'method':
      return METHOD_WORDS[value as Recipe['method']].name
    case 'agent':
      return AGENT_WORDS[value as NonNullable<Recipe['agent']>].name
    case 'purpose':
      return value === 'bacon' ? 'bacon' : 'hung to dry'
    case 'saltBasis':
      return value === 'total' ? 'in all' : 'as added'
    case 'sides': {
      const s = value as Recipe['sides']
      return `flesh ${percent(s.flesh, as)}, fat ${percent(s.fat, as)}, edges ${percent(s.edges, as)}`
    }
    case 'days': {
      const d = value as Recipe['days']
      return `ready from ${d.readyFrom}, best by ${d.bestBy}`
    }
    case 'plan':
      return planWords(value as Plan, as)
    case 'seasoning':
      return seasoningWords(value as RecipeSeasoning, as)
    default:
      return String(value)
  }
}

/** The line under a recipe's name in the list: its code, the meat, the method, and how often it was changed. */
export function nameLine({ code, revisions, retired }: RecipeView): string {
  const { cut, method, agent } = revisions[0]!.recipe
  return [
    code,
    cut,
    methodWords(method, agent === null),
    ...(revisions.length > 1 ? [`${revisions.length} revisions`] : []),
    ...(retired ? ['put away'] : []),
  ].join(', ')
}

/** The whole recipe in one breath, without seasonings and days. */
export function recipeLine(recipe: Recipe, as: Notation): string {
  const told = (field: 'nitritePpm' | 'saltShare' | 'sugarShare' | 'waterShare') => valueWords(field, recipe[field], as)
  const { cut, method, agent, saltBasis, waterShare, days, purpose } = recipe
  return [
    `${cut}, ${methodWords(method, agent === null)}, ${valueWords('purpose', purpose, as)}.`,
    ...(agent ? [`${AGENT_WORDS[agent].name} for ${told('nitritePpm')}.`] : []),
    `Salt ${told('saltShare')} ${saltBasis === 'total' ? 'in all' : 'added'}, `
    + `sugar ${told('sugarShare')}${waterShare === null ? '' : `, water ${told('waterShare')} of the meat`}.`,
    `Ready from day ${days.readyFrom}, best by ${days.bestBy}.`,
  ].join(' ')
}
