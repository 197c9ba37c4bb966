import type { Notation } from '#core/units/format'
import type { RuleSet } from '#core/rules/rule-set'
import type { AttemptKind, Role } from '#shared/contracts/people'
import { bool, day, decimal, instant, int, json, nullable, ppm, text } from '../schema/column'
import { outsideBook, tableSpec } from '../schema/table-spec'

export const shops = tableSpec(
  'shops',
  {
    name: text(),
    zone: text(64),
    ruleSetId: text(32),
    houseTargetPpm: ppm(),
    houseFloorPpm: nullable(ppm()),
    houseMaxPpm: nullable(ppm()),
    labAlways: nullable(text(500)),
    /** What the shop does with white bloom on hung meat, in its own words. */
    mouldPolicy: nullable(text(500)),
    turnEveryDays: decimal(3, 1),
    turnBy: text(5),
    /** The instant from which places are to be read; null: not begun. */
    placesFromMs: nullable(instant()),
  },
  ['ruleSetId', 'houseTargetPpm', 'houseFloorPpm', 'houseMaxPpm', 'labAlways', 'mouldPolicy', 'placesFromMs'],
)

/** Rule sets the shop confirmed or wrote itself. `own` is null for a shipped one. */
export const ruleSets = tableSpec(
  'rule_sets',
  {
    ruleSetId: text(64),
    own: nullable(json<RuleSet>()),
    confirmedBy: nullable(text()),
    confirmedOn: nullable(day()),
    reference: nullable(text()),
    atMs: instant(),
  },
  ['own', 'confirmedBy', 'confirmedOn', 'reference', 'atMs'],
)

/** How someone writes figures is theirs alone: it is no record, and counts in no digest. */
export const users = {
  ...tableSpec(
    'users',
    {
      signIn: text(64),
      name: text(),
      initials: text(8),
      role: text<Role>(16),
      passwordHash: text(),
      notation: json<Notation>(),
      active: bool(),
      pinHash: nullable(text()),
      totpSecret: nullable(text(64)),
      recoveryHashes: nullable(json<string[]>()),
    },
    ['name', 'initials', 'role', 'passwordHash', 'pinHash', 'totpSecret', 'recoveryHashes', 'notation', 'active'],
  ),
  unsealed: ['notation'],
}

/** Browsers that are signed in. A shared one is a station: its records are signed with PINs. */
export const sessions = outsideBook(
  tableSpec(
    'sessions',
    {
      tokenHash: text(64),
      userId: int(),
      station: text(120),
      shared: bool(),
      startedAtMs: instant(),
      endsAtMs: instant(),
      endedAtMs: nullable(instant()),
      signerId: nullable(int()),
      signedUntilMs: nullable(instant()),
      /** The password was given again a moment ago; and when the device was last heard of, to a few minutes. */
      confirmedUntilMs: nullable(instant()),
      seenAtMs: nullable(instant()),
    },
    ['endedAtMs', 'signerId', 'signedUntilMs', 'confirmedUntilMs', 'seenAtMs'],
  ),
)

export const signInAttempts = outsideBook(
  tableSpec(
    'sign_in_attempts',
    {
      kind: text<AttemptKind>(8),
      signIn: text(64),
      address: text(64),
      atMs: instant(),
      succeeded: bool(),
      /** A device that signed this name in before; null elsewhere. And the step of a one-time code, used once. */
      device: nullable(text(64)),
      step: nullable(int()),
    },
    ['succeeded', 'step'],
  ),
)

/** Devices on which someone has signed in, by the hash of what their cookie holds. */
export const knownDevices = outsideBook(
  tableSpec('known_devices', { tokenHash: text(64), userId: int(), atMs: instant() }),
)

/** Secret addresses of calendars, by their hash. */
export const calendarLinks = outsideBook(
  tableSpec(
    'calendar_links',
    {
      tokenHash: text(64),
      userId: int(),
      atMs: instant(),
      endedAtMs: nullable(instant()),
      seenAtMs: nullable(instant()),
    },
    ['endedAtMs', 'seenAtMs'],
  ),
)
