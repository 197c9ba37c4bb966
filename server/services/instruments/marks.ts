import { stateAt } from '#core/instruments/instrument-state'
import type { InstrumentMark, InstrumentView } from '#shared/contracts/instruments'
import type { ScaleView } from '#shared/contracts/lots'
import type { Tables } from '../../db/store'

/** How an instrument stood at a moment; null when no instrument was named. */
export type MarkAt = (instrumentId: number | null, atMs: number) => InstrumentMark | null

/** Reads the instruments once; the answer then works for any number of readings. */
export async function loadMarks(tables: Tables): Promise<MarkAt> {
  const [instruments, checks] = await Promise.all([tables.instruments.find(), tables.instrumentChecks.find()])
  const known = new Map(instruments.map(one => [one.id, { ...one, checks: checks.filter(check => check.instrumentId === one.id) }]))
  return (id, atMs) => {
    const one = id === null ? undefined : known.get(id)
    return one ? { id: one.id, name: one.name, state: stateAt(one.checks, one.everyDays, atMs).state } : null
  }
}

/** Every instrument with its checks, newest first. */
export async function instrumentViews(tables: Tables, nowMs: number): Promise<InstrumentView[]> {
  const [instruments, checks, users] = await Promise.all([
    tables.instruments.find({}, { order: [['id', 'ASC']] }), tables.instrumentChecks.find({}, { order: [['id', 'DESC']] }), tables.users.find(),
  ])
  return instruments.map((one) => {
    const mine = checks.filter(check => check.instrumentId === one.id)
    return {
      ...one, ...stateAt(mine, one.everyDays, nowMs),
      checks: mine.map(({ id, method, referenceValue, readValue, readTyped, errorValue, passed, offsetC, atMs, byId, note }) => ({
        id, method, reference: referenceValue, read: readValue, typed: readTyped, error: errorValue, passed, offsetC, atMs, note,
        by: users.find(user => user.id === byId)!.initials,
      })),
    }
  })
}

/** Scales in use, with how they stand now. */
export async function scaleViews(tables: Tables, nowMs: number): Promise<ScaleView[]> {
  const [scales, markAt] = await Promise.all([tables.instruments.find({ kind: 'scale', inUse: true }, { order: [['id', 'ASC']] }), loadMarks(tables)])
  return scales.map(scale => ({ id: scale.id, name: scale.name, purpose: scale.purpose!, readabilityG: scale.readability, state: markAt(scale.id, nowMs)!.state }))
}
