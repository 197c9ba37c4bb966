import type { Basis, RuleRow } from '#core/rules/rule-set'

export const BASIS_WORDS: Record<Basis, string> = {
  ingoing_nano2: 'as NaNO2, going in',
  ingoing_ion: 'as the ion, going in',
  ingoing_nano3: 'as NaNO3, going in',
  residual: 'left in the product',
}
export const GROUP_WORDS: Record<RuleRow['cutGroup'], string> = {
  belly: 'belly',
  other: 'loin, shoulder, jowl, other',
  any: 'any cut',
}
export const LEGAL_METHOD_WORDS: Record<RuleRow['method'], string> = {
  dry: 'dry',
  immersion: 'wet',
  pumped: 'pumped',
  any: 'any',
}
