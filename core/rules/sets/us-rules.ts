import { CURED_COOLING_PPM, CURED_COOLING_SOURCE } from '../guideline'
import { row, type RuleSet } from '../rule-set'

const BACON = '9 CFR 424.22(b); FSIS Directive 7620.3'
const CURED = '9 CFR 424.21(c); FSIS Directive 7620.3'
const LESS = `${BACON} (10 % less with rind)`
const LEAST = `least: ${CURED_COOLING_SOURCE}`
const WET_FLOOR = {
  minPpm: CURED_COOLING_PPM,
  note: 'The floor of 120 ppm would leave no room here; 100 ppm is what the cured-product cooling rule asks.',
}

/**
 * United States. Rind takes almost no cure and is about 10 % of a belly, hence the lower rows. KNO2 figures are the
 * same moles.
 */
export const US_RULES: RuleSet = {
  id: 'us',
  jurisdiction: 'United States',
  source: '9 CFR 424.21(c), 424.22(b); FSIS Directive 7620.3 (1995)',
  textDate: '1995-09-01',
  floorPpm: 120,
  floorSource: 'FSIS Directive 7620.3',
  bellyNoHeavier: '9 CFR 319.107',
  rows: [
    row({
      id: 'us-belly-dry-off',
      cutGroup: 'belly',
      method: 'dry',
      rind: 'off',
      maxPpm: 200,
      source: BACON,
      note: '246 ppm as KNO2.',
    }),
    row({
      id: 'us-belly-dry-on',
      cutGroup: 'belly',
      method: 'dry',
      rind: 'on',
      maxPpm: 180,
      source: LESS,
      note: '221 ppm as KNO2.',
    }),
    row({
      id: 'us-belly-wet-off',
      cutGroup: 'belly',
      method: 'immersion',
      rind: 'off',
      maxPpm: 120,
      source: `${BACON}; ${LEAST}`,
      ...WET_FLOOR,
    }),
    row({
      id: 'us-belly-wet-on',
      cutGroup: 'belly',
      method: 'immersion',
      rind: 'on',
      maxPpm: 108,
      source: `${LESS}; ${LEAST}`,
      ...WET_FLOOR,
    }),
    row({
      id: 'us-belly-pumped-off',
      cutGroup: 'belly',
      method: 'pumped',
      rind: 'off',
      maxPpm: 120,
      source: BACON,
      note: 'With 550 ppm ascorbate or erythorbate. For reference: this shop does not pump.',
    }),
    row({
      id: 'us-belly-pumped-on',
      cutGroup: 'belly',
      method: 'pumped',
      rind: 'on',
      maxPpm: 108,
      source: LESS,
      note: 'With 495 ppm ascorbate or erythorbate. For reference: this shop does not pump.',
    }),
    row({ id: 'us-other-dry', cutGroup: 'other', method: 'dry', maxPpm: 625, source: CURED }),
    row({ id: 'us-other-wet', cutGroup: 'other', method: 'immersion', maxPpm: 200, source: CURED }),
    row({
      id: 'us-other-pumped',
      cutGroup: 'other',
      method: 'pumped',
      maxPpm: 200,
      source: CURED,
      note: 'For reference: this shop does not pump.',
    }),
    row({
      id: 'us-other-dry-nitrate',
      cutGroup: 'other',
      method: 'dry',
      compound: 'nitrate',
      basis: 'ingoing_nano3',
      maxPpm: 2187,
      source: CURED,
    }),
    row({
      id: 'us-other-wet-nitrate',
      cutGroup: 'other',
      method: 'immersion',
      compound: 'nitrate',
      basis: 'ingoing_nano3',
      maxPpm: 700,
      source: CURED,
    }),
    row({
      id: 'us-bacon-nitrate',
      cutGroup: 'belly',
      method: 'any',
      compound: 'nitrate',
      basis: 'ingoing_nano3',
      maxPpm: 0,
      source: '9 CFR 424.22(b)',
      note: 'No nitrate in bacon, whatever the method.',
    }),
    row({
      id: 'us-other-residual',
      cutGroup: 'other',
      method: 'any',
      basis: 'residual',
      maxPpm: 200,
      source: '9 CFR 424.21(c)',
      note: 'Any finished product but bacon.',
    }),
  ],
}
