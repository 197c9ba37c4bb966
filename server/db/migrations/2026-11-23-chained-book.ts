import { createHash } from 'node:crypto'
import { QueryTypes, type Sequelize } from 'sequelize'
import { AT, table } from './migration'

/** The book becomes a chain: each record's hash covers the one before. Frozen: change it by a later migration. */
export const name = '2026-11-23-chained-book'

export const up: readonly string[] = [
  table('book_head', 'last_id INT NOT NULL', 'hash CHAR(64) NOT NULL', `last_at ${AT}`),
  `ALTER TABLE events
    MODIFY typed MEDIUMTEXT NOT NULL, MODIFY computed MEDIUMTEXT NOT NULL,
    ADD who VARCHAR(255) NOT NULL DEFAULT '', ADD station VARCHAR(120) NOT NULL DEFAULT '', ADD subjects MEDIUMTEXT NOT NULL DEFAULT '[]',
    ADD voids_id INT NULL, ADD clock_behind BIGINT NULL, ADD hash CHAR(64) NOT NULL DEFAULT '', ADD UNIQUE KEY voids (voids_id)`,
  `UPDATE events SET who = (SELECT name FROM users WHERE users.id = events.user_id),
    subjects = COALESCE((SELECT CONCAT('[', GROUP_CONCAT(JSON_QUOTE(code) ORDER BY event_subjects.id), ']')
      FROM event_subjects WHERE event_id = events.id), '[]')`,
]

interface OldRow {
  id: number
  kind: string
  user_id: number
  who: string
  at_ms: unknown
  zone: string
  arithmetic: string
  typed: string
  computed: string
  reason: string | null
  subjects: string
}

/** Records from before the chain are chained as they stand, numbered without a gap. */
export async function after(sequelize: Sequelize): Promise<void> {
  const select = { type: QueryTypes.SELECT } as const
  let hash = '0'.repeat(64)
  const rows = await sequelize.query<OldRow>(
    'SELECT *, ROUND(UNIX_TIMESTAMP(at) * 1000) AS at_ms FROM events ORDER BY id',
    select,
  )
  for (const [i, row] of rows.entries()) {
    const id = i + 1
    const text = JSON.stringify([
      hash,
      id,
      row.kind,
      row.user_id,
      row.who,
      '',
      Number(row.at_ms),
      row.zone,
      row.arithmetic,
      row.typed,
      row.computed,
      row.reason,
      row.subjects,
      null,
      null,
    ])
    hash = createHash('sha256').update(text).digest('hex')
    await sequelize.query('UPDATE events SET hash = ? WHERE id = ?', {
      type: QueryTypes.UPDATE,
      replacements: [hash, row.id],
    })
    if (row.id === id) continue
    await sequelize.query(
      'INSERT INTO events SELECT ?, kind, user_id, at, zone, arithmetic, typed, computed, reason, who, station, '
      + 'subjects, voids_id, clock_behind, hash FROM events WHERE id = ?',
      { type: QueryTypes.INSERT, replacements: [id, row.id] },
    )
    await sequelize.query('UPDATE event_subjects SET event_id = ? WHERE event_id = ?', {
      type: QueryTypes.UPDATE,
      replacements: [id, row.id],
    })
    await sequelize.query('DELETE FROM events WHERE id = ?', { type: QueryTypes.DELETE, replacements: [row.id] })
  }
  await sequelize.query(
    'INSERT INTO book_head (id, last_id, hash, last_at) VALUES (1, ?, ?, COALESCE((SELECT MAX(at) FROM events), UTC_TIMESTAMP(3)))',
    { type: QueryTypes.INSERT, replacements: [rows.length, hash] },
  )
}
