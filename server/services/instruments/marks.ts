import { atKey } from '#core/lists/at-key'
import type { Milliseconds } from '#core/units/quantities'
import { stateAt } from '#core/instruments/instrument-state'
import { groupBy } from '#core/lists/group-by'
import type { InstrumentBrief } from '#shared/contracts/cold-room'
import type { InstrumentMark, InstrumentView } from '#shared/contracts/instruments'
import type { ScaleView } from '#shared/contracts/lots'
import type { Tables } from '../../db/database'
import { below, since } from '../../db/schema/where'

/** How an instrument stood at a moment; null when no instrument was named. */
export type MarkAt = (instrumentId: number | null, atMs: Milliseconds) => InstrumentMark | null

/** Checks of all instruments that say how each stood from a moment on: those since, and the last one before. */
async function checksFrom(tables: Tables, ids: readonly number[], sinceMs: Milliseconds) {
  const columns = ['instrumentId', 'atMs', 'passed'] as const
  const [later, before] = await Promise.all([
    tables.instrumentChecks.pick(columns, { atMs: since(sinceMs) }),
    tables.instrumentChecks.pickEach(columns, {
      wheres: ids.map(instrumentId => ({ instrumentId, atMs: below(sinceMs) })),
      first: {
        order: [
          ['atMs', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: 1,
      },
    }),
  ])
  return groupBy([...before, ...later], check => check.instrumentId)
}

type Checks = Awaited<ReturnType<typeof checksFrom>>

/** Reads the instruments once; the answer then works for any number of readings from a moment on. */
export async function loadMarks(tables: Tables, sinceMs: Milliseconds): Promise<MarkAt> {
  const instruments = await tables.instruments.pick(['name', 'everyDays'])
  return marksBy(instruments, await checksFrom(tables, instruments.map(one => one.id), sinceMs))
}

function marksBy(instruments: readonly { id: number; name: string; everyDays: number }[], checks: Checks): MarkAt {
  const known = new Map(instruments.map(one => [one.id, one]))
  return (id, atMs) => {
    const one = id === null ? undefined : known.get(id)
    return one
      ? { id: one.id, name: one.name, state: stateAt(checks.get(one.id) ?? [], one.everyDays, atMs).state }
      : null
  }
}

/** Instruments in use, as the floor chooses them. */
export const instrumentBriefs = async (tables: Tables, nowMs: Milliseconds): Promise<InstrumentBrief[]> =>
  (await marksAndBriefs(tables, nowMs, nowMs)).briefs

/** Both at once, from one reading of the instruments: how each stood from a moment on, and those in use now. */
export async function marksAndBriefs(
  tables: Tables,
  sinceMs: Milliseconds,
  nowMs: Milliseconds,
): Promise<{ markAt: MarkAt; briefs: InstrumentBrief[] }> {
  const instruments = await tables.instruments.find({}, { order: [['id', 'ASC']] })
  const checks = await checksFrom(tables, instruments.map(one => one.id), sinceMs)
  const briefs = instruments
    .filter(one => one.inUse)
    .map(({ id, kind, purpose, name, everyDays, offsetC }) => ({
      id,
      kind,
      purpose,
      name,
      offsetC,
      ...stateAt(checks.get(id) ?? [], everyDays, nowMs),
    }))
  return { markAt: marksBy(instruments, checks), briefs }
}

/** Every instrument with its checks, newest first. */
export async function instrumentViews(tables: Tables, nowMs: Milliseconds): Promise<InstrumentView[]> {
  const [instruments, checks, users] = await Promise.all([
    tables.instruments.find({}, { order: [['id', 'ASC']] }),
    tables.instrumentChecks.find({}, { order: [['id', 'DESC']] }),
    tables.users.find(),
  ])
  const checksOf = groupBy(checks, check => check.instrumentId)
  return instruments.map((one) => {
    const mine = checksOf.get(one.id) ?? []
    return {
      ...one,
      ...stateAt(mine, one.everyDays, nowMs),
      checks: mine.map(
        ({ id, method, referenceValue, readValue, readTyped, errorValue, passed, offsetC, atMs, byId, note }) => ({
          id,
          method,
          reference: referenceValue,
          read: readValue,
          typed: readTyped,
          error: errorValue,
          passed,
          offsetC,
          atMs,
          note,
          by: users.find(user => user.id === byId)!.initials,
        }),
      ),
    }
  })
}

/** Scales in use, with how they stand now. */
export async function scaleViews(tables: Tables, nowMs: Milliseconds): Promise<ScaleView[]> {
  const scales = (await instrumentBriefs(tables, nowMs)).filter(one => one.kind === 'scale')
  const readability = new Map(
    (await tables.instruments.pick(['readability'], { kind: 'scale' })).map(one => [one.id, one.readability]),
  )
  return scales.map(scale => ({
    id: scale.id,
    name: scale.name,
    purpose: scale.purpose!,
    readabilityG: atKey(readability, scale.id),
    state: scale.state,
  }))
}
