import type { RuleSet } from '../rule-set'
import { ANZ_RULES, CANADA_RULES, EU_RULES, UK_RULES } from './other-rules'
import { US_RULES } from './us-rules'

/** Rule sets the product ships. A new jurisdiction is one more entry here, or a set of the shop's own in the Office. */
export const SHIPPED_RULES: readonly RuleSet[] = [US_RULES, CANADA_RULES, UK_RULES, EU_RULES, ANZ_RULES]
