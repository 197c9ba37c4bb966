import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { ensureDebianPackages } from './packages.mjs'
import { Advice } from './steps.mjs'

/**
 * Milliseconds from now to an hour of the same day, or of another that is named, before or after it.
 *
 * @param {string} hour "23:50" or "2027-03-14 07:30", UTC
 * @param {number} nowMs since 1970
 */
export function msTo(hour, nowMs) {
  const [, day, time] = /^(?:(\d{4}-\d\d-\d\d) )?((?:[01]\d|2[0-3]):[0-5]\d)$/.exec(hour) ?? []
  const atMs = Date.parse(`${day ?? new Date(nowMs).toISOString().slice(0, 10)}T${time}Z`)
  if (Number.isNaN(atMs)) throw new Advice(`“${hour}” is no hour. Write it like 23:50, or 2027-03-14 07:30, in UTC.`)
  return atMs - nowMs
}

const library = () =>
  readdirSync('/usr/lib')
    .map(folder => join('/usr/lib', folder, 'faketime', 'libfaketimeMT.so.1'))
    .find(existsSync)

/**
 * The environment in which a process and all it starts see another hour, or another day: what takes the one at which it
 * is tried for granted shows there. Timers go as they do. With Debian's libfaketime.
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
