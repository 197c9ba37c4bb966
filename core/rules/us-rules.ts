import type { RuleSet } from './rule-set'

const BACON = '9 CFR 424.22(b); FSIS Directive 7620.3'
const CURED = '9 CFR 424.21(c); FSIS Directive 7620.3'

/** United States, ingoing nitrite as NaNO2. Rind takes almost no cure and is about 10 % of a belly, hence the lower rows. */
export const US_RULES: RuleSet = {
  id: 'us',
  jurisdiction: 'United States',
  source: '9 CFR 424.21(c), 424.22(b); FSIS Directive 7620.3 (1995)',
  textDate: '1995-09-01',
  floorPpm: 120,
  floorSource: 'FSIS Directive 7620.3',
  nitrateAllowed: false,
  rows: [
    { id: 'us-belly-dry-off', cutGroup: 'belly', method: 'dry', rind: 'off', maxPpm: 200, source: BACON },
    { id: 'us-belly-dry-on', cutGroup: 'belly', method: 'dry', rind: 'on', maxPpm: 180, source: `${BACON} (10 % less with rind)` },
    { id: 'us-belly-wet-off', cutGroup: 'belly', method: 'immersion', rind: 'off', maxPpm: 120, source: BACON },
    { id: 'us-belly-wet-on', cutGroup: 'belly', method: 'immersion', rind: 'on', maxPpm: 108, source: `${BACON} (10 % less with rind)` },
    { id: 'us-other-dry', cutGroup: 'other', method: 'dry', rind: 'any', maxPpm: 625, source: CURED },
    { id: 'us-other-wet', cutGroup: 'other', method: 'immersion', rind: 'any', maxPpm: 200, source: CURED },
  ],
}

/** Rule sets the product ships, by id. */
export const RULE_SETS: Record<string, RuleSet> = { [US_RULES.id]: US_RULES }
/** Most makers stay near this, whatever higher maximum the cut allows. */
export const HOUSE_TARGET_PPM = 150
/** Least ingoing nitrite for the cured-product cooling rule (FSIS stabilization guideline, 2021). */
export const CURED_COOLING_PPM = 100
