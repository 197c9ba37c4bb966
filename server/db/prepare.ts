import { connect } from './connect'
import { migrate } from './migrate'
import { grantRights } from './rights'

/**
 * Makes a database ready for the application, as the user who owns it: schema up to date, rights given. The application
 * itself never has that user's password. Returns the migrations applied.
 */
export async function prepareDatabase(urls: { admin: string, app: string }): Promise<string[]> {
  const admin = connect(urls.admin, 2)
  const database = decodeURIComponent(new URL(urls.admin).pathname.slice(1))
  // The application's user may not reach the database before it has a right on it: it is asked for its name without one.
  const withoutDatabase = new URL(urls.app)
  withoutDatabase.pathname = '/'
  const app = connect(withoutDatabase.toString(), 1)
  try {
    const applied = await migrate(admin)
    await grantRights(admin, app, database)
    return applied
  }
  finally {
    await Promise.all([admin.close(), app.close()])
  }
}
