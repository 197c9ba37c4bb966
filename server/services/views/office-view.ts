import { byId } from '#core/lists/by-id'
import type { Milliseconds } from '#core/units/quantities'
import type { OfficeMine, OfficePeople, OfficePlaces } from '#shared/contracts/office'
import type { DeviceView, SignedIn } from '#shared/contracts/people'
import type { Tables } from '../../db/database'
import { since } from '../../db/schema/where'
import { openLinks } from '../calendar/links'
import { placeSetUps } from './place-views'
import { instrumentViews } from '../instruments/marks'

/** Devices that are signed in: for the owner everybody's, for others their own. */
async function deviceViews(
  tables: Tables,
  reader: { person: SignedIn; sessionId: number; nowMs: Milliseconds },
): Promise<DeviceView[]> {
  const { sessionId, nowMs } = reader
  const whose = reader.person.role === 'owner' ? {} : { userId: reader.person.id }
  const [sessions, users] = await Promise.all([
    tables.sessions.find(
      { endedAtMs: null, endsAtMs: since(nowMs), ...whose },
      { order: [['id', 'DESC']] },
    ),
    tables.users.pick(['name']),
  ])
  const userOf = byId(users, 'user')
  return sessions.map(({ id, station, shared, userId, startedAtMs, endsAtMs }) => ({
    id,
    station,
    shared,
    startedAtMs,
    endsAtMs,
    own: userId === reader.person.id,
    who: userOf(userId).name,
    thisOne: id === sessionId,
  }))
}

/** Who may come in, and on what. On a shared tablet nobody sees devices. */
export async function officePeople(
  tables: Tables,
  reader: { person: SignedIn; sessionId: number; onTablet: boolean; nowMs: Milliseconds },
): Promise<OfficePeople> {
  const [people, devices, calendars] = await Promise.all([
    tables.users.find({}, { order: [['id', 'ASC']] }),
    reader.onTablet ? [] : deviceViews(tables, reader),
    reader.person.role === 'owner' ? openLinks(tables) : [],
  ])
  return {
    devices,
    calendars,
    people: people.map(({ id, name, initials, signIn, role, active, pinHash, totpSecret }) => ({
      id,
      name,
      initials,
      signIn,
      role,
      active,
      hasPin: pinHash !== null,
      hasSecondFactor: totpSecret !== null,
    })),
  }
}

/** How whoever reads comes in. */
export async function officeMine(tables: Tables, { id }: SignedIn): Promise<OfficeMine> {
  const { pinHash, totpSecret } = await tables.users.the({ id })
  return { hasPin: pinHash !== null, hasSecondFactor: totpSecret !== null }
}

/** Wherever meat lies, and what it is read on. */
export async function officePlaces(tables: Tables, nowMs: Milliseconds): Promise<OfficePlaces> {
  const [places, instruments] = await Promise.all([placeSetUps(tables), instrumentViews(tables, nowMs)])
  return { places, instruments }
}
