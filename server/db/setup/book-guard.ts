import { QueryTypes, type Sequelize } from 'sequelize'

const NAME = 'book_head_moves'

/**
 * Moves the head with each record, as the database's owner: the application's user may not. A record goes in behind the
 * head and nowhere else; numbers in between may be missing only where a row already lies. The next number is the rule, and
 * one statement.
 */
const BODY = `BEGIN
  DECLARE head INT;
  UPDATE book_head SET last_id = NEW.id, hash = NEW.hash, last_at = NEW.at WHERE id = 1 AND last_id = NEW.id - 1;
  IF ROW_COUNT() = 0 THEN
    SELECT last_id INTO head FROM book_head WHERE id = 1 FOR UPDATE;
    IF head IS NULL OR NEW.id <= head OR (SELECT COUNT(*) FROM events WHERE id > head AND id < NEW.id) <> NEW.id - head - 1 THEN
      SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'a record goes behind the last one of the book';
    END IF;
    UPDATE book_head SET last_id = NEW.id, hash = NEW.hash, last_at = NEW.at WHERE id = 1;
  END IF;
END`

/** Takes the guard away, for tables that are to be moved. */
export const unguardBook = (admin: Sequelize): Promise<unknown> =>
  admin.query(`DROP TRIGGER IF EXISTS ${NAME}`, { type: QueryTypes.RAW })

const squeezed = (sql: string): string => sql.replace(/\s+/g, ' ').trim()

/** Gives the book its guard, unless it stands there as it should. `admin` owns the database. */
export async function guardBook(admin: Sequelize): Promise<void> {
  const tables = await admin.query('SHOW TABLES LIKE \'events\'', { type: QueryTypes.SELECT })
  if (tables.length === 0) return
  const [there] = await admin.query<{ body: string }>(
    `SELECT action_statement AS body FROM information_schema.triggers WHERE trigger_schema = DATABASE() AND trigger_name = '${NAME}'`,
    { type: QueryTypes.SELECT },
  )
  if (there && squeezed(there.body) === squeezed(BODY)) return
  try {
    await admin.query(`CREATE OR REPLACE TRIGGER ${NAME} BEFORE INSERT ON events FOR EACH ROW ${BODY}`, {
      type: QueryTypes.RAW,
    })
  }
  catch (error) {
    if ((error as { parent?: { code?: string } }).parent?.code !== 'ER_BINLOG_CREATE_ROUTINE_NEED_SUPER') throw error
    throw new Error(
      'This MariaDB keeps a binary log and lets nobody but its administrator make triggers. '
      + 'Have it run once: SET GLOBAL log_bin_trust_function_creators = 1 (and in its settings file)',
      { cause: error },
    )
  }
}
