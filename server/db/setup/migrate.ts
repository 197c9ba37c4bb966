import { QueryTypes, type Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import * as first from '../migrations/2026-11-23-first-slice'
import * as chainedBook from '../migrations/2026-11-23-chained-book'
import * as receiving from '../migrations/2026-11-23-receiving'
import * as stations from '../migrations/2026-11-23-stations'
import * as instruments from '../migrations/2026-11-23-instruments'
import * as bench from '../migrations/2026-11-23-bench'
import * as voids from '../migrations/2026-11-23-voids'
import * as sealedRows from '../migrations/2026-11-26-sealed-rows'
import * as facts from '../migrations/2026-11-26-facts'
import * as door from '../migrations/2026-11-26-door'
import * as doorOnce from '../migrations/2026-11-27-door-once'
import * as openThings from '../migrations/2026-11-27-open-things'
import * as heats from '../migrations/2026-11-28-heats'
import * as steps from '../migrations/2026-11-29-steps'
import * as places from '../migrations/2026-11-30-places'
import * as recipeLots from '../migrations/2026-12-01-recipe-lots'
import * as plans from '../migrations/2026-12-02-plans'
import * as partyNames from '../migrations/2026-12-03-party-names'
import * as adds from '../migrations/2026-12-04-adds'
import * as calendarLinks from '../migrations/2026-12-05-calendar-links'
import * as stacks from '../migrations/2026-12-06-stacks'
import * as placeChecks from '../migrations/2026-12-07-place-checks'
import * as tags from '../migrations/2026-12-08-tags'
import * as parts from '../migrations/2026-12-09-parts'
import * as mouldPolicy from '../migrations/2026-12-10-mould-policy'
import * as contradictions from '../migrations/2026-12-11-contradictions'
import * as placesFrom from '../migrations/2026-12-12-places-from'
import * as packReturns from '../migrations/2026-12-13-pack-returns'
import * as judgedBy from '../migrations/2026-12-14-judged-by'
import * as readyWeights from '../migrations/2026-12-15-ready-weights'
import type { Migration } from '../migrations/migration'

const LOCK = 'veldmoor_migrations'
const LOCK_SECONDS = 60
const HISTORY = 'migrations'

/** Migrations in order of age; a list, because a bundled server has no folder to search. */
const MIGRATIONS: readonly Migration[] = [
  first,
  chainedBook,
  stations,
  voids,
  instruments,
  receiving,
  bench,
  sealedRows,
  facts,
  door,
  doorOnce,
  openThings,
  heats,
  steps,
  places,
  recipeLots,
  plans,
  partyNames,
  adds,
  calendarLinks,
  stacks,
  placeChecks,
  tags,
  parts,
  mouldPolicy,
  contradictions,
  placesFrom,
  packReturns,
  judgedBy,
  readyWeights,
]

/**
 * Brings the schema up to date, as a user who may change it. Several may begin at once: one migrates, the others wait.
 */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(m => ({
      name: m.name,
      up: async () => {
        for (const sql of m.up) await sequelize.query(sql, { type: QueryTypes.RAW })
        await m.after?.(sequelize)
      },
    })),
    storage: new SequelizeStorage({ sequelize, tableName: HISTORY }),
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

/** Names of migrations that this version knows and the database has not had. A database without a history lacks all. */
export async function missingMigrations(sequelize: Sequelize): Promise<string[]> {
  const select = { type: QueryTypes.SELECT } as const
  const tables = await sequelize.query(`SHOW TABLES LIKE '${HISTORY}'`, select)
  const done = tables.length ? await sequelize.query<{ name: string }>(`SELECT name FROM ${HISTORY}`, select) : []
  const names = new Set(done.map(row => row.name))
  return MIGRATIONS.map(m => m.name).filter(name => !names.has(name))
}
