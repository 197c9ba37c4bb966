import type { Milliseconds } from '#core/units/quantities'
import type { OfficeView } from '#shared/contracts/office'
import type { DeviceView, SignedIn } from '#shared/contracts/people'
import type { Tables } from '../../db/database'
import { since } from '../../db/schema/where'
import { openLinks } from '../calendar/links'
import { placeSetUps } from './place-views'
import { instrumentViews } from '../instruments/marks'
import { rulesInForce } from '../rules/rule-sets'
import { shopView } from '../shop/shop-facts'
import { CSV_TABLES } from '../office/take-along'

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
    tables.users.find(),
  ])
  return sessions.map(({ id, station, shared, userId, startedAtMs, endsAtMs }) => ({
    id,
    station,
    shared,
    startedAtMs,
    endsAtMs,
    own: userId === reader.person.id,
    who: users.find(user => user.id === userId)!.name,
    thisOne: id === sessionId,
  }))
}

/** What the Office keeps: people, devices, scales, places, rules. */
export async function officeView(
  tables: Tables,
  reader: { person: SignedIn; sessionId: number; onTablet: boolean; nowMs: Milliseconds },
): Promise<OfficeView> {
  const [shop, rules, people, instruments, places, devices, calendars] = await Promise.all([
    shopView(tables),
    rulesInForce(tables),
    tables.users.find({}, { order: [['id', 'ASC']] }),
    instrumentViews(tables, reader.nowMs),
    placeSetUps(tables),
    reader.onTablet ? [] : deviceViews(tables, reader),
    reader.person.role === 'owner' ? openLinks(tables) : [],
  ])
  return {
    shop,
    jurisdiction: rules.jurisdiction,
    instruments,
    places,
    devices,
    calendars,
    nowMs: reader.nowMs,
    tables: [...CSV_TABLES],
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
