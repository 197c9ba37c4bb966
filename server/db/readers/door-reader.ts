import type { Sequelize } from 'sequelize'
import { ask } from '../line/ask'
import { columnsOf, rowReader } from '../table/row-reader'
import type { Columns, RowOf, TableSpec } from '../schema/table-spec'
import { sessions, users } from '../tables/people'

/** What each page and each press asks of a session and of its people: no secret of theirs goes along. */
const { tokenHash: _hash, endedAtMs: _ended, ...ofSession } = sessions.columns
const { signIn, name, initials, role, notation } = users.columns
const ofPerson = { signIn, name, initials, role, notation }

export type SessionAtDoor = RowOf<TableSpec<typeof ofSession>>
export type PersonAtDoor = RowOf<TableSpec<typeof ofPerson>>
/** A session that was not ended, with whoever is named in it and whose account is open. */
export interface NamedAtDoor {
  session: SessionAtDoor
  people: PersonAtDoor[]
}
export type DoorReader = (tokenHash: string) => Promise<NamedAtDoor | null>

const IN_SESSION = 's_'
const OF_PERSON = 'u_'
const named = (columns: Columns, from: string, before: string): string =>
  ['id', ...columnsOf({ columns }).map(({ field }) => field)]
    .map(field => `${from}.\`${field}\` AS ${before}${field}`)
    .join(', ')

const SQL = `SELECT ${named(ofSession, 's', IN_SESSION)}, ${named(ofPerson, 'u', OF_PERSON)}
  FROM sessions s LEFT JOIN users u ON u.id IN (s.user_id, s.signer_id) AND u.active = true
  WHERE s.ended_at IS NULL AND s.token_hash = `

/** The session of a token by its hash, in one statement: it is asked with every page and every press. */
export function doorReader(sequelize: Sequelize): DoorReader {
  const session = rowReader({ columns: ofSession }, IN_SESSION)
  const person = rowReader({ columns: ofPerson }, OF_PERSON)
  return async (tokenHash) => {
    const rows = await ask<Record<string, unknown>>(sequelize, SQL + sequelize.escape(tokenHash))
    if (rows.length === 0) return null
    return {
      session: session(rows[0]!),
      people: rows.filter(row => row[`${OF_PERSON}id`] !== null).map(person),
    }
  }
}
