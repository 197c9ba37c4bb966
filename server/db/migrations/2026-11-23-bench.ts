import { AT, GRAMS, ref, SHARE, table } from './migration'

/**
 * Cure methods, agents and seasonings as data, rule sets of the shop's own, laboratory results, bulk mixes, recipes,
 * bench cards. Frozen: change it by a later migration.
 */
export const name = '2026-11-23-bench'

const VOIDED = 'voided INT NOT NULL DEFAULT 0'

export const up: readonly string[] = [
  `ALTER TABLE ingredient_lots ADD agent_kind VARCHAR(20) NULL, ADD nitrate_as VARCHAR(8) NOT NULL DEFAULT 'NaNO3',
    ADD sugar_fraction ${SHARE} NOT NULL DEFAULT 0,
    ADD water_fraction ${SHARE} NOT NULL DEFAULT 0, ADD allergens JSON NULL, ADD iodised TINYINT(1) NOT NULL DEFAULT 0`,
  `UPDATE ingredient_lots SET agent_kind = 'no_1' WHERE kind = 'curing_salt' AND nitrite_fraction BETWEEN 0.06 AND 0.065`,
  `UPDATE ingredient_lots SET agent_kind = 'own' WHERE kind = 'curing_salt' AND agent_kind IS NULL`,
  `UPDATE ingredient_lots SET allergens = '[]'`,
  table(
    'mix_parts',
    ref('mix_lot_id', 'ingredient_lots'),
    ref('ingredient_lot_id', 'ingredient_lots'),
    'role VARCHAR(8) NOT NULL',
    `mass_g ${GRAMS} NOT NULL`,
    'typed VARCHAR(64) NOT NULL',
    ref('scale_id', 'instruments', true),
    `at ${AT}`,
    ref('by_id', 'users'),
    VOIDED,
  ),
  table(
    'recipes',
    'code VARCHAR(16) NOT NULL UNIQUE',
    'name VARCHAR(255) NOT NULL',
    'retired TINYINT(1) NOT NULL DEFAULT 0',
  ),
  table(
    'recipe_revisions',
    ref('recipe_id', 'recipes'),
    'number INT NOT NULL',
    'content JSON NOT NULL',
    'note VARCHAR(500) NULL',
    `at ${AT}`,
    ref('by_id', 'users'),
    'UNIQUE KEY (recipe_id, number)',
  ),
  `ALTER TABLE lots ADD method VARCHAR(24) NOT NULL DEFAULT 'dry', ADD purpose VARCHAR(8) NOT NULL DEFAULT 'bacon',
    ADD choice_id VARCHAR(64) NULL, ADD first_share ${SHARE} NULL,
    ADD water_g ${GRAMS} NULL, ADD water_typed VARCHAR(64) NULL, ADD most_pick_up ${SHARE} NULL,
    ADD weighed_back_g ${GRAMS} NULL, ADD weighed_back_typed VARCHAR(64) NULL,
    ADD after_g ${GRAMS} NULL, ADD after_typed VARCHAR(64) NULL, ADD sides JSON NULL, ADD recipe_revision_id INT NULL,
    ADD FOREIGN KEY (recipe_revision_id) REFERENCES recipe_revisions (id)`,
  `UPDATE lots SET method = 'salt_only' WHERE salt_only = 1`,
  // Verdicts from before say what they were by: a measured dry cure under the shop's only rule set.
  `UPDATE lots SET judgement = JSON_MERGE_PATCH(judgement, JSON_OBJECT('method', method,
    'meaning', IF(salt_only = 1, 'none', 'exact'), 'ruleSetId', 'us', 'residual', JSON_ARRAY(),
    'maxPpm', JSON_EXTRACT(judgement, '$.row.maxPpm')))`,
  'ALTER TABLE pieces ADD bag INT NULL',
  'ALTER TABLE lot_ingredients ADD application INT NOT NULL DEFAULT 1, ADD applied_at DATETIME(3) NULL, '
  + `ADD per VARCHAR(12) NULL, ADD amount ${GRAMS} NULL, ADD piece_numbers JSON NULL`,
  table(
    'lab_results',
    ref('lot_id', 'lots'),
    'residual_ppm DECIMAL(9,3) NOT NULL',
    'typed VARCHAR(64) NOT NULL',
    'laboratory VARCHAR(255) NOT NULL',
    'report VARCHAR(255) NOT NULL',
    'sampled_on DATE NOT NULL',
    ref('file_id', 'files', true),
    `at ${AT}`,
    ref('by_id', 'users'),
    VOIDED,
  ),
  table(
    'rule_sets',
    'rule_set_id VARCHAR(64) NOT NULL UNIQUE',
    'own JSON NULL',
    'confirmed_by VARCHAR(255) NULL',
    'confirmed_on DATE NULL',
    'reference VARCHAR(255) NULL',
    `at ${AT}`,
  ),
  `INSERT INTO rule_sets (rule_set_id, confirmed_by, confirmed_on, reference, at)
    SELECT rule_set_id, rules_confirmed_by, rules_confirmed_on, rules_reference, UTC_TIMESTAMP(3) FROM shops
      WHERE rules_confirmed_by IS NOT NULL`,
  'ALTER TABLE shops DROP COLUMN rules_confirmed_by, DROP COLUMN rules_confirmed_on, '
  + 'DROP COLUMN rules_reference, ADD house_floor_ppm DECIMAL(8,3) NULL, ADD house_max_ppm DECIMAL(8,3) NULL',
  table(
    'bench_cards',
    'code VARCHAR(16) NOT NULL UNIQUE',
    'draft JSON NOT NULL',
    `at ${AT}`,
    ref('by_id', 'users'),
    ref('lot_id', 'lots', true),
  ),
  `INSERT INTO code_counters (kind, last) VALUES ('recipe', 0), ('card', 0)`,
]
