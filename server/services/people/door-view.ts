import { DOOR_RECORDS, type DoorView } from '#shared/contracts/people'
import type { Tables } from '../../db/database'

/** Tries that are shown: the newest. */
const SHOWN = 100

/**
 * Who knocked, and whether it was opened: sign-ins, wrong passwords, PINs and codes, names that closed, whole shops
 * taken along; newest first.
 */
export async function doorView(tables: Tables): Promise<DoorView[]> {
  const [tries, records] = await Promise.all([
    tables.signInAttempts.find({}, { order: [['id', 'DESC']], limit: SHOWN }),
    tables.events.find({ kind: [...DOOR_RECORDS] }, { order: [['id', 'DESC']], limit: SHOWN }),
  ])
  return [
    ...tries.map(({ atMs, kind, signIn, address, device, succeeded }) => ({
      atMs,
      kind,
      signIn,
      address,
      known: device !== null,
      succeeded,
    })),
    ...records.map(({ atMs, kind, who }) => ({
      atMs,
      kind: kind as DoorView['kind'],
      signIn: who,
      address: '',
      known: false,
      succeeded: kind === 'shop_exported',
    })),
  ]
    .toSorted((a, b) => b.atMs - a.atMs)
    .slice(0, SHOWN)
}
