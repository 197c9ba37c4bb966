import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { ensureDebianPackages } from './packages.mjs'
import { Advice } from './steps.mjs'

const MS_PER_MINUTE = 60_000
const MS_PER_DAY = 86_400_000

/**
 * Milliseconds from now to an hour of the same day, before or after it.
 *
 * @param {string} hour "23:50", UTC
 * @param {number} nowMs since 1970
 */
export function msTo(hour, nowMs) {
  const [, hours, minutes] = /^([01]\d|2[0-3]):([0-5]\d)$/.exec(hour) ?? []
  if (hours === undefined) throw new Advice(`“${hour}” is no hour of the day. Write it like 23:50, in UTC.`)
  return (Number(hours) * 60 + Number(minutes)) * MS_PER_MINUTE - (nowMs % MS_PER_DAY)
}

const library = () =>
  readdirSync('/usr/lib')
    .map(folder => join('/usr/lib', folder, 'faketime', 'libfaketimeMT.so.1'))
    .find(existsSync)

/**
 * The environment in which a process and all it starts see another hour of today: what takes the hour at which it is
 * tried for granted shows there. Timers go as they do. With Debian's libfaketime.
 */
export async function environmentAt(hour) {
  const seconds = Math.round(msTo(hour, Date.now()) / 1000)
  await ensureDebianPackages({ programs: ['faketime'], packages: ['faketime'], why: 'it lets the tests run at another hour' })
  return {
    LD_PRELOAD: library(),
    FAKETIME: `${seconds < 0 ? '' : '+'}${seconds}`,
    FAKETIME_DONT_FAKE_MONOTONIC: '1',
    DONT_FAKE_MONOTONIC: '1',
  }
}
