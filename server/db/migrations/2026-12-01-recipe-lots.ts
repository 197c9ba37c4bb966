/**
 * How often a recipe was rubbed is counted by the index alone, and its newest lots are found by it. May be run again.
 * Frozen: change it by a later migration.
 */
export const name = '2026-12-01-recipe-lots'

export const up: readonly string[] = [
  'ALTER TABLE lots ADD KEY IF NOT EXISTS of_recipe (recipe_revision_id, voided), DROP KEY IF EXISTS recipe_revision_id',
]
