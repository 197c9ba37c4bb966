import type { Sequelize } from 'sequelize'
import { connect } from '../line/connect'
import { guardBook, unguardBook } from './book-guard'
import { migrate, missingMigrations } from './migrate'
import { refuseServer } from './refuse-server'
import { grantRights } from './rights'
import { hasSeals, isUnsealed, sealRows } from '../integrity/seal-rows'
import { verifyBook } from '../integrity/verify-book'

/** A shop whose schema is going to change is walked before, so that the change covers nothing up. */
async function bringUpToDate(admin: Sequelize): Promise<string[]> {
  await refuseServer(admin)
  const changes = (await missingMigrations(admin)).length > 0
  const before = changes && (await hasSeals(admin)) ? (await verifyBook(admin)).found : null
  const applied = await migrate(admin)
  await guardBook(admin)
  if (applied.length > 0 || (await isUnsealed(admin))) await sealRows(admin, Date.now(), before)
  return applied
}

/**
 * Makes a database ready for the application, as the user who owns it: schema up to date, rights given, every row
 * sealed in the book. The application itself never has that user's password. Returns the migrations applied.
 */
export async function prepareDatabase(urls: { admin: string; app: string }): Promise<string[]> {
  const admin = connect(urls.admin, 2)
  const database = decodeURIComponent(new URL(urls.admin).pathname.slice(1))
  // The application's user may not reach the database before it has a right on it: it is asked for its name without
  // one.
  const withoutDatabase = new URL(urls.app)
  withoutDatabase.pathname = '/'
  const app = connect(withoutDatabase.toString(), 1)
  try {
    const applied = await bringUpToDate(admin)
    await grantRights(admin, app, database)
    return applied
  }
  finally {
    await Promise.all([admin.close(), app.close()])
  }
}

/** The same for a shop that no application reaches, left without the book's guard: its tables are going to be moved. */
export async function prepareBeside(adminUrl: string): Promise<string[]> {
  const admin = connect(adminUrl, 2)
  try {
    const applied = await bringUpToDate(admin)
    await unguardBook(admin)
    return applied
  }
  finally {
    await admin.close()
  }
}
