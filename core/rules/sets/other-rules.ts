import { row, type RuleSet } from '../rule-set'

const PERMITTED = 'List of Permitted Preservatives'
const UK_TEXT = 'assimilated Regulation 1333/2008, annex II part E, 08.3'
const EU_TEXT = 'Regulation 2023/2108'
const CODE = 'Food Standards Code, schedule 15'
const NO_FLOOR = { floorPpm: null, floorSource: '' }

export const CANADA_RULES: RuleSet = {
  id: 'ca',
  jurisdiction: 'Canada',
  source: PERMITTED,
  textDate: '2024-01-01',
  ...NO_FLOOR,
  rows: [
    row({ id: 'ca-belly', cutGroup: 'belly', method: 'any', maxPpm: 120, source: PERMITTED, note: 'Side bacon.' }),
    row({
      id: 'ca-other',
      cutGroup: 'other',
      method: 'any',
      maxPpm: 200,
      source: PERMITTED,
      note: 'Other cured meat.',
    }),
  ],
}

export const UK_RULES: RuleSet = {
  id: 'uk',
  jurisdiction: 'United Kingdom',
  source: UK_TEXT,
  textDate: '2021-01-01',
  ...NO_FLOOR,
  rows: [
    row({ id: 'uk-meat', cutGroup: 'any', method: 'any', maxPpm: 150, source: UK_TEXT, note: 'Meat products.' }),
    row({
      id: 'uk-traditional',
      cutGroup: 'any',
      method: 'dry',
      basis: 'residual',
      maxPpm: 175,
      source: UK_TEXT,
      choice: 'traditional dry-cured bacon',
      maturationDays: 4,
      note: 'Dry cure, then at least 4 days\' maturation.',
    }),
  ],
}

export const EU_RULES: RuleSet = {
  id: 'eu',
  jurisdiction: 'European Union from 2025-10-09',
  source: EU_TEXT,
  textDate: '2025-10-09',
  ...NO_FLOOR,
  rows: [
    row({
      id: 'eu-meat',
      cutGroup: 'any',
      method: 'any',
      basis: 'ingoing_ion',
      maxPpm: 80,
      source: EU_TEXT,
      note: 'Meat products not sterilised; about 120 ppm as NaNO2.',
    }),
    row({
      id: 'eu-residual',
      cutGroup: 'any',
      method: 'any',
      basis: 'residual',
      maxPpm: null,
      source: EU_TEXT,
      note: 'A residual limit as well: take the figure for your product from the current text.',
    }),
  ],
}

export const ANZ_RULES: RuleSet = {
  id: 'anz',
  jurisdiction: 'Australia and New Zealand',
  source: CODE,
  textDate: '2024-01-01',
  ...NO_FLOOR,
  rows: [
    row({
      id: 'anz-cured',
      cutGroup: 'any',
      method: 'any',
      basis: 'residual',
      maxPpm: 125,
      source: CODE,
      note: 'Cured meat: nitrites as NaNO2 in the product.',
    }),
  ],
}
