import type { DoorView } from '#shared/contracts/people'
import type { Tables } from '../../db/store'

/** Tries that are shown: the newest. */
const SHOWN = 100

/** Who knocked, and whether it was opened: sign-ins, wrong passwords, PINs and codes, newest first. */
export async function doorView(tables: Tables): Promise<DoorView[]> {
  const tries = await tables.signInAttempts.find({}, { order: [['id', 'DESC']], limit: SHOWN })
  return tries.map(({ atMs, kind, signIn, address, device, succeeded }) => ({ atMs, kind, signIn, address, known: device !== null, succeeded }))
}
