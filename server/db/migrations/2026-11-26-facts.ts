/**
 * A hold knows the facts it was made on; a bulk mix is what its curing salt is. Frozen: change it by a later migration.
 */
export const name = '2026-11-26-facts'

export const up: readonly string[] = [
  'ALTER TABLE holds ADD facts VARCHAR(120) NULL',
  'ALTER TABLE shops ADD lab_always VARCHAR(500) NULL',
  `UPDATE ingredient_lots SET agent_kind = COALESCE((SELECT base.agent_kind FROM mix_parts
    JOIN (SELECT id, agent_kind FROM ingredient_lots) base ON base.id = mix_parts.ingredient_lot_id
    WHERE mix_parts.mix_lot_id = ingredient_lots.id AND mix_parts.role = 'agent' AND mix_parts.voided = 0
    LIMIT 1), 'mix') WHERE kind = 'mix'`,
]
