import { QueryTypes, type Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import * as first from './migrations/2026-11-23-first-slice'

const LOCK = 'veldmoor_migrations'
const LOCK_SECONDS = 60

/** In order of age; a list, because a bundled server has no folder to search. */
const MIGRATIONS = [first]

/** Brings the schema up to date. Several processes may start at once: one migrates, the others wait. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(m => ({ name: m.name, up: async () => { for (const sql of m.up) await sequelize.query(sql, { type: QueryTypes.RAW }) } })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  })
  return await sequelize.transaction(async (transaction) => {
    const select = { type: QueryTypes.SELECT, transaction } as const
    const [got] = await sequelize.query<{ got: unknown }>(`SELECT GET_LOCK('${LOCK}', ${LOCK_SECONDS}) AS got`, select)
    if (Number(got?.got) !== 1) throw new Error(`another process has held the migration lock for ${LOCK_SECONDS} s`)
    try {
      return (await umzug.up()).map(m => m.name)
    }
    finally {
      await sequelize.query(`SELECT RELEASE_LOCK('${LOCK}') AS released`, select)
    }
  })
}
