import { COLD_SMOKE_SALT_ONLY_C } from '#core/rules/house'
import { formatLimit, type Notation } from '#core/units/format'
import { methodWords } from '#shared/messages/verdict'
import { isSaltOnly, type BenchDraft } from './bench-draft'

/** The cautions that apply to what a card asks for. */
export function cautionsOf(draft: BenchDraft, allergens: readonly string[], as: Notation): string[] {
  const cold = formatLimit(COLD_SMOKE_SALT_ONLY_C, as)
  return [
    isSaltOnly(draft)
      ? `Salt does not make its own nitrite: ${cold} or colder all the way, no long warm smoke, cook before eating.`
      : 'Curing salt is poisonous: weigh it on the fine scale, never by eye. No. 1 is not no. 2.',
    ...(draft.method === 'excess' ? ['Weigh back what is shaken off, and enter it: the ppm is an upper bound.'] : []),
    ...(draft.method === 'two_applications' ? ['Second application after the first draining.'] : []),
    ...(draft.purpose === 'dried' ? ['Eaten uncooked: process authority and trichinella control.'] : []),
    ...(allergens.length ? [`Allergens for the label: ${allergens.join(', ')}.`] : []),
    'What falls off goes back on or into the bag. No reactive metal pans. Fridge at once.',
  ]
}

/** Cut, rind, pieces and method: what stands before their weight, and what after it. */
export function cardLine({ cut, rind, pieces, method, recipe, saltOnly }: BenchDraft): { before: string; after: string } {
  const revision = recipe ? `; ${recipe.code} revision ${recipe.number}` : ''
  return {
    before: `${cut}, rind ${rind}, ${pieces.length} pieces,`,
    after: ` green weight; ${methodWords(method, saltOnly === true)}${revision}`,
  }
}
