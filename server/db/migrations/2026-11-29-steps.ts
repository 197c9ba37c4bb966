import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { AT, ref, table } from './migration'

/**
 * What was done to a lot becomes steps, from its rows and records; where its pieces stand is kept with them. A clock that
 * was set back may not put a turn before its rub: times are drawn to what they follow. May be run again. Frozen: change
 * it by a later migration.
 */
export const name = '2026-11-29-steps'

export const up: readonly string[] = [
  table(
    'steps',
    'event_id INT NULL',
    'end_event_id INT NULL',
    ref('lot_id', 'lots'),
    'kind VARCHAR(16) NOT NULL',
    'pieces JSON NOT NULL',
    ref('place_id', 'fridges', true),
    `from_at ${AT}`,
    'to_at DATETIME(3) NULL',
    ref('run_id', 'runs', true),
    'figures JSON NOT NULL',
    ref('by_id', 'users'),
    'late_reason VARCHAR(500) NULL',
    'voided INT NOT NULL DEFAULT 0',
    'KEY of_lot (lot_id, voided, from_at, id)',
    'KEY of_record (event_id)',
    'KEY of_end (end_event_id)',
    'KEY in_place (place_id, from_at)',
  ).replace('CREATE TABLE', 'CREATE TABLE IF NOT EXISTS'),
  `ALTER TABLE pieces ADD COLUMN IF NOT EXISTS (place_id INT NULL, spot VARCHAR(60) NULL, face VARCHAR(8) NULL,
    stage VARCHAR(8) NULL, since DATETIME(3) NULL, out_at DATETIME(3) NULL)`,
  'DELETE FROM steps',
]

/** Standing records of a kind about a lot. */
const record = (kind: string, more = ''): string => `SELECT e.id FROM event_subjects s JOIN events e ON e.id = s.event_id
  WHERE s.code = l.code AND e.kind = '${kind}' AND NOT EXISTS (SELECT 1 FROM events v WHERE v.voids_id = e.id)${more}`
const firstRecord = (kind: string, more = ''): string => `(${record(kind, more)} ORDER BY e.id LIMIT 1)`
const lastRecord = (kind: string, more = ''): string => `(${record(kind, more)} ORDER BY e.id DESC LIMIT 1)`
const ALL_PIECES = '(SELECT JSON_ARRAYAGG(p.id ORDER BY p.number) FROM pieces p WHERE p.lot_id = l.id AND p.voided = 0)'
const COLUMNS = 'event_id, end_event_id, lot_id, kind, pieces, place_id, from_at, to_at, run_id, figures, by_id'
const inCure = (at: string): string => `GREATEST(l.rubbed_at, LEAST(${at}, COALESCE(l.cure_ended_at, ${at})))`
const afterCure = (at: string): string => `GREATEST(${at}, COALESCE(l.cure_ended_at, l.rubbed_at))`
const insert = (kind: string, what: { event: string; at: string; to?: string; more?: string; figures: string; by: string; from: string }) =>
  `INSERT INTO steps (${COLUMNS}) SELECT ${what.event}, NULL, l.id, '${kind}', ${ALL_PIECES}, `
  + `${what.more ?? 'NULL'}, ${what.at}, ${what.to ?? what.at}, NULL, ${what.figures}, ${what.by} ${what.from}`

/** What stood in rows or records of its own, as steps: in this order, so that what happened at one instant stands. */
const STEPS: readonly string[] = [
  insert('rub', {
    event: firstRecord('lot_rubbed'),
    at: 'l.rubbed_at',
    more: 'l.fridge_id',
    // Bags are numbered; other pieces lie loose.
    figures: `JSON_OBJECT('spots', COALESCE((SELECT JSON_OBJECTAGG(p.id, CONCAT('bag ', p.bag)) FROM pieces p
      WHERE p.lot_id = l.id AND p.voided = 0 AND p.bag IS NOT NULL), JSON_OBJECT()), 'face', 'flesh')`,
    by: 'l.rubbed_by_id',
    from: 'FROM lots l WHERE l.voided = 0',
  }),
  insert('turn', {
    event: firstRecord(
      'turned',
      ' AND (JSON_VALUE(e.computed, \'$.turnId\') = t.id'
      + ' OR (JSON_VALUE(e.computed, \'$.turnId\') IS NULL AND e.at = t.at))',
    ),
    at: inCure('t.at'),
    figures: 'JSON_OBJECT(\'how\', \'turned\', \'face\', NULL)',
    by: 't.by_id',
    from: 'FROM turns t JOIN lots l ON l.id = t.lot_id AND l.voided = 0 WHERE t.voided = 0 ORDER BY t.at, t.id',
  }),
  insert('drain', {
    event: 'd.id',
    at: inCure('d.at'),
    figures: 'JSON_OBJECT(\'how\', \'poured_off\', \'drained\', NULL, \'back\', JSON_EXTRACT(\'false\', \'$\'), '
      + '\'saltLies\', JSON_EXTRACT(\'false\', \'$\'))',
    by: 'd.user_id',
    from: `FROM events d JOIN event_subjects s ON s.event_id = d.id JOIN lots l ON l.code = s.code AND l.voided = 0
      WHERE d.kind = 'drained' AND NOT EXISTS (SELECT 1 FROM events v WHERE v.voids_id = d.id) ORDER BY d.id`,
  }),
  insert('add', {
    event: lastRecord('second_applied'),
    at: inCure('u.at'),
    figures: 'JSON_OBJECT(\'application\', 2)',
    by: `COALESCE((SELECT e.user_id FROM events e WHERE e.id = ${lastRecord('second_applied')}), l.rubbed_by_id)`,
    from: `FROM (SELECT lot_id, MAX(applied_at) AS at FROM lot_ingredients WHERE application = 2 AND voided = 0
      GROUP BY lot_id) u JOIN lots l ON l.id = u.lot_id AND l.voided = 0 WHERE u.at IS NOT NULL`,
  }),
  insert('weigh', {
    event: 'w.id',
    at: 'GREATEST(l.rubbed_at, w.at)',
    figures: `JSON_OBJECT('what', IF(l.method = 'excess', 'weighed_back', 'after_brine'),
      'netG', CAST(COALESCE(l.weighed_back_g, l.after_g) AS DOUBLE))`,
    by: 'w.user_id',
    from: `FROM lots l JOIN events w ON w.id = ${lastRecord('weighed_after')}
      WHERE l.voided = 0 AND COALESCE(l.weighed_back_g, l.after_g) IS NOT NULL`,
  }),
  insert('out', {
    event: lastRecord('cure_ended'),
    at: 'GREATEST(l.rubbed_at, l.cure_ended_at)',
    figures: 'JSON_OBJECT(\'rinses\', NULL)',
    by: `COALESCE((SELECT e.user_id FROM events e WHERE e.id = ${lastRecord('cure_ended')}), l.rubbed_by_id)`,
    from: 'FROM lots l WHERE l.voided = 0 AND l.cure_ended_at IS NOT NULL',
  }),
  `INSERT INTO steps (${COLUMNS}) SELECT
      (SELECT MIN(e.id) FROM event_subjects s JOIN events e ON e.id = s.event_id WHERE s.code = r.code AND e.kind = 'run_started'),
      (SELECT MAX(e.id) FROM event_subjects s JOIN events e ON e.id = s.event_id WHERE s.code = r.code AND e.kind = 'run_pulled'
        AND NOT EXISTS (SELECT 1 FROM events v WHERE v.voids_id = e.id)),
      l.id, 'heat', JSON_ARRAYAGG(p.id ORDER BY p.number), NULL, ${afterCure('r.started_at')},
      IF(r.pulled_at IS NULL, NULL, GREATEST(r.pulled_at, ${afterCure('r.started_at')})), r.id,
      JSON_OBJECT('code', r.code, 'targetC', CAST(r.target_core_c AS DOUBLE), 'back', JSON_EXTRACT('true', '$')), r.started_by_id
    FROM runs r JOIN run_pieces m ON m.run_id = r.id AND m.voided = 0 JOIN pieces p ON p.id = m.piece_id AND p.voided = 0
      JOIN lots l ON l.id = p.lot_id AND l.voided = 0
    WHERE r.voided = 0 GROUP BY r.id, l.id ORDER BY r.started_at, r.id`,
  insert('slice', {
    event: 'd.id',
    at: afterCure('d.at'),
    figures: 'JSON_OBJECT()',
    by: 'd.user_id',
    from: `FROM events d JOIN event_subjects s ON s.event_id = d.id JOIN lots l ON l.code = s.code AND l.voided = 0
      WHERE d.kind = 'sliced' AND NOT EXISTS (SELECT 1 FROM events v WHERE v.voids_id = d.id) ORDER BY d.id`,
  }),
]

const STATE = `UPDATE pieces p JOIN lots l ON l.id = p.lot_id AND l.voided = 0
  LEFT JOIN (SELECT m.piece_id, SUM(r.pulled_at IS NULL) AS going, MAX(r.started_at) AS started, MAX(r.pulled_at) AS pulled
    FROM run_pieces m JOIN runs r ON r.id = m.run_id AND r.voided = 0 WHERE m.voided = 0 GROUP BY m.piece_id) h ON h.piece_id = p.id
  LEFT JOIN (SELECT lot_id, COUNT(*) AS times FROM turns WHERE voided = 0 GROUP BY lot_id) t ON t.lot_id = l.id
  SET p.place_id = l.fridge_id, p.spot = IF(p.bag IS NULL, NULL, CONCAT('bag ', p.bag)),
    p.face = IF(MOD(COALESCE(t.times, 0), 2) = 0, 'flesh', 'fat'), p.out_at = GREATEST(l.rubbed_at, l.cure_ended_at),
    p.stage = CASE WHEN h.going > 0 THEN 'heat' WHEN h.pulled IS NOT NULL THEN 'rest'
      WHEN l.cure_ended_at IS NOT NULL THEN 'dry' ELSE 'cure' END,
    p.since = CASE WHEN h.going > 0 THEN ${afterCure('h.started')} WHEN h.pulled IS NOT NULL THEN ${afterCure('h.pulled')}
      WHEN l.cure_ended_at IS NOT NULL THEN GREATEST(l.rubbed_at, l.cure_ended_at) ELSE l.rubbed_at END
  WHERE p.voided = 0`

/** Lays the steps of a shop that has none down from its rows and records. */
export async function layOldSteps(sequelize: Sequelize, transaction: Transaction): Promise<void> {
  for (const sql of [...STEPS, STATE]) await sequelize.query(sql, { type: QueryTypes.RAW, transaction })
}

export const after = (sequelize: Sequelize): Promise<void> =>
  sequelize.transaction(transaction => layOldSteps(sequelize, transaction))
