import { formatNumber, formatPercent, formatPpm, type Notation } from '#core/units/format'
import type { Recipe, RecipeSeasoning } from '#shared/contracts/recipes'
import { AGENT_WORDS } from '#shared/messages/agents'
import { METHOD_WORDS } from '#shared/messages/verdict'
import type { RecipeChange } from '#shared/recipes/diff-recipes'

const PER_WORDS = { percent: '%', g_per_kg: 'g per kg', g_per_piece: 'g per piece' }
export const seasoningWords = (s: RecipeSeasoning, as: Notation): string =>
  `${s.name} ${formatNumber(s.amount, s.amount < 1 ? 2 : 1, as.decimal)} ${PER_WORDS[s.per]}${s.group === 'all' ? '' : `, pieces ${s.group}`}`

const FIELD_WORDS: Record<RecipeChange['field'], string> = {
  name: 'Name', cut: 'Cut', purpose: 'Becomes', method: 'Method', agent: 'Curing agent', nitritePpm: 'Nitrite', saltShare: 'Salt', saltBasis: 'Salt counted', sugarShare: 'Sugar', waterShare: 'Water', pickUp: 'Pick-up',
  sides: 'Sides', days: 'Days', note: 'Note', seasoning: 'Seasoning',
}
export const fieldWords = (field: RecipeChange['field']): string => FIELD_WORDS[field]

/** A recipe's value as people read it; null is "none". */
export function valueWords(field: RecipeChange['field'], value: unknown, as: Notation): string {
  if (value === null || value === undefined) return 'none'
  switch (field) {
    case 'nitritePpm': return formatPpm(value as number, as)
    case 'saltShare': case 'sugarShare': case 'waterShare': case 'pickUp': return formatPercent(value as number, as, 1)
    case 'method': return METHOD_WORDS[value as Recipe['method']].name
    case 'agent': return AGENT_WORDS[value as NonNullable<Recipe['agent']>].name
    case 'purpose': return value === 'bacon' ? 'bacon' : 'hung to dry'
    case 'sides': { const s = value as Recipe['sides']; return `flesh ${formatPercent(s.flesh, as, 0)}, fat ${formatPercent(s.fat, as, 0)}, edges ${formatPercent(s.edges, as, 0)}` }
    case 'days': { const d = value as Recipe['days']; return `ready from ${d.readyFrom}, best by ${d.bestBy}` }
    case 'seasoning': return seasoningWords(value as RecipeSeasoning, as)
    default: return String(value)
  }
}
