import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { EventKind } from '../../shared/contracts/event-kinds'
import type { StepKind } from '../../core/life/kinds/all-kinds'
import { openStore, type Store } from '../../server/db/database'
import { after } from '../../server/db/migrations/2026-11-29-steps'
import { after as placesAfter } from '../../server/db/migrations/2026-11-30-places'
import { prepareDatabase } from '../../server/db/setup/prepare'
import { connect } from '../../server/db/line/connect'
import { verifyBook } from '../../server/db/integrity/verify-book'
import { writeOnce } from '../../server/services/book/write-once'
import { floorView } from '../../server/services/views/floor-view'
import { voidRecord } from '../../server/services/voids/void-record'
import type { FreshDatabase } from '../support/database'
import { databaseFrom } from '../support/dump'

const FIXTURES = resolve(import.meta.dirname, '../fixtures')
/** What its floor answered then. */
const FLOOR = JSON.parse(readFileSync(resolve(FIXTURES, 'shop-0.3.0.json'), 'utf8')) as {
  code: string
  turns: number[]
  drainedAtMs: number | null
  cureEndedAtMs: number | null
  pieces: { id: number; greenG: number }[]
  runs: { code: string; pulledAtMs: number | null }[]
}[]

let database: FreshDatabase
let store: Store
let takenMs = 0

beforeAll(async () => {
  // A shop that 0.3.0 ran: turns, drainings and an end of cure voided, a hold decided, a slicing voided and told again.
  database = await databaseFrom('shop-0.3.0.sql.gz')
  const began = performance.now()
  await prepareDatabase({ admin: database.adminUrl, app: database.url })
  takenMs = performance.now() - began
  store = openStore(database.url, 2)
}, 60_000)
afterAll(async () => {
  await store.close()
  await database.drop()
})

const nowMs = Date.parse('2026-11-26T20:00:00Z')
const lotOf = async (code: string) => (await store.tables.lots.one({ code }))!
const standing = async (code: string, kind: StepKind) =>
  (await store.tables.steps.find({ lotId: (await lotOf(code)).id, kind }, { order: [['fromAtMs', 'ASC']] }))
let presses = 0
async function voided(eventId: number) {
  const owner = (await store.tables.users.one({ signIn: 'marit' }))!
  const writer = {
    actor: { id: owner.id, role: 'owner' as const, name: owner.name },
    station: 'office',
    nowMs,
    zone: 'UTC',
    clockRight: true,
  }
  const request = { clientKey: `00000000-0000-4000-8000-00000000000${(presses += 1)}`, requestHash: 'x' }
  return await writeOnce(store, request, writer, ctx => voidRecord(ctx, eventId, 'it was not so'))
}

describe('a shop of 0.3.0', () => {
  it('is whole afterwards: chain, rows, and where each piece stands', async () => {
    expect(await verifyBook(store.slow)).toMatchObject({ found: 0, broken: null })
    // Said, not judged: a machine under load may be slow.
    console.info(`brought up to date in ${Math.round(takenMs)} ms`)
  })
  it('answers on its floor what it answered before', async () => {
    const { lots } = await floorView(store.tables, nowMs, null)
    const found = lots.map(lot => ({
      ...Object.fromEntries(Object.keys(FLOOR[0]!).map(key => [key, lot[key as keyof typeof lot]])),
      turns: lot.turns.map(turn => turn.atMs),
      pieces: lot.pieces.map(({ id, greenG }) => ({ id, greenG })),
      runs: lot.runs.map(({ code, pulledAtMs }) => ({ code, pulledAtMs })),
    }))
    const open = new Set(lots.map(lot => lot.code))
    expect(open.size).toBeGreaterThan(5)
    // What is finished lies on no floor any more.
    expect(found).toEqual(FLOOR.filter(lot => open.has(lot.code)))
  })
  it('has a step for each thing that stood, at its hour, and none for what was voided', async () => {
    for (const lot of FLOOR) {
      expect((await standing(lot.code, 'turn')).map(step => step.fromAtMs), lot.code).toEqual(lot.turns)
      expect((await standing(lot.code, 'out')).map(step => step.fromAtMs), lot.code).toEqual(
        lot.cureEndedAtMs === null ? [] : [lot.cureEndedAtMs],
      )
      expect((await standing(lot.code, 'drain')).at(-1)?.fromAtMs ?? null, lot.code).toBe(lot.drainedAtMs)
      const heats = await standing(lot.code, 'heat')
      expect(heats.map(step => step.toAtMs), lot.code).toEqual(lot.runs.map(run => run.pulledAtMs))
      expect(await standing(lot.code, 'rub')).toHaveLength(1)
    }
    expect(await standing('L-0010', 'drain')).toHaveLength(1)
    expect(await standing('L-0003', 'slice')).toHaveLength(1)
  })
  it('every step knows the record that told of it', async () => {
    const told: Partial<Record<StepKind, EventKind>> = {
      rub: 'lot_rubbed',
      turn: 'turned',
      drain: 'drained',
      out: 'cure_ended',
      heat: 'run_started',
      slice: 'sliced',
      add: 'second_applied',
    }
    const steps = await store.tables.steps.find()
    const kinds = new Map((await store.tables.events.pick(['kind'])).map(event => [event.id, event.kind]))
    expect(steps.length).toBeGreaterThan(60)
    for (const step of steps) expect(kinds.get(step.eventId!), `${step.kind} ${step.id}`).toBe(told[step.kind])
    const pulled = steps.filter(step => step.kind === 'heat' && step.toAtMs !== null)
    for (const step of pulled) expect(kinds.get(step.endEventId!)).toBe('run_pulled')
  })
  it('one lot lies half in the smoke and half on its rack', async () => {
    const pieces = await store.tables.pieces.find({ lotId: (await lotOf('L-0008')).id }, { order: [['number', 'ASC']] })
    expect(pieces.map(piece => piece.stage)).toEqual(['heat', ...pieces.slice(1).map(() => 'dry')])
  })
  it('old records are voided as before, and the steps go with them', async () => {
    const [turn] = await standing('L-0009', 'turn')
    expect(await voided(turn!.eventId!)).toMatchObject({ ok: true })
    expect((await standing('L-0009', 'turn')).map(step => step.id)).not.toContain(turn!.id)
    const [drain] = await standing('L-0010', 'drain')
    expect(await voided(drain!.eventId!)).toMatchObject({ ok: true })
    expect(await lotOf('L-0010')).toMatchObject({ drainedAtMs: null })
    const [out] = await standing('L-0008', 'out')
    expect(await voided(out!.eventId!)).toMatchObject({ ok: false, code: 'built_upon' })
    expect(await verifyBook(store.slow)).toMatchObject({ found: 0, broken: null })
  })
  it('laid down a second time they are the same', async () => {
    const plain = async () =>
      (await store.tables.steps.find({}, { order: [['lotId', 'ASC'], ['fromAtMs', 'ASC'], ['kind', 'ASC']] })).map(
        ({ id: _id, ...step }) => step,
      )
    const before = await plain()
    const admin = connect(database.adminUrl, 1)
    await database.sql('DELETE FROM steps')
    await after(admin)
    await placesAfter(admin)
    await admin.close()
    expect(await plain()).toEqual(before)
  })
})
