import { lastOf } from '#core/lists/last-of'
import { HEAT_FROM_C, READING_AHEAD_MS, READING_EARLY_MS } from '#core/rules/house'
import { usesOf } from '#core/places/place-kind'
import type { z } from 'zod'
import { withoutOffset } from '#core/instruments/check-instrument'
import { outcomeOf } from '#core/smoke/outcome'
import type { runInput, runReadingsInput } from '#shared/contracts/smoke'
import { between } from '../../db/schema/where'
import { nextCode } from '../book/next-code'
import { spansOf } from '#core/lists/spans'
import { reasonsOf } from '../book/reasons-of'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { refuseHeld } from '../holds/holds'
import { lockRows } from '../lock-rows'
import { refuseUnchecked } from '../checks/check-lists'
import { endHeats, laySteps } from '../steps/lay-steps'
import { keepStayed } from '../judging/rejudge'
import { offsetOf } from '../instruments/read-with'
import { againstPlan, despiteOf, keptAgainst } from '../plans/against-plan'
import { checkRun, lotsOfRun } from '../judging/check-run'
import { runLine } from '../judging/run-readings'

/** A place that heats, by its name, locked; a name that none has is answered with those there are. */
async function smokerNamed({ tables }: WriteContext, name: string) {
  const heating = (await tables.places.find({ inUse: true })).filter(place => usesOf(place).includes('heat'))
  const known = heating.find(place => place.name.toLowerCase() === name.trim().toLowerCase())
  const found = known && (await tables.places.one({ id: known.id, inUse: true }, { lock: true }))
  return found
    ? { ok: true as const, value: found }
    : refuse('no_such_smoker', { name, known: heating.map(place => place.name).join(', ') }, ['smoker'])
}

/** Starts a smoke with pieces of one or more lots, all out of the cure and none held. */
export async function startRun(ctx: WriteContext, input: z.output<typeof runInput>): Promise<Answer<{ code: string }>> {
  const ids = [...new Set(input.pieceIds)]
  const place = await smokerNamed(ctx, input.smoker)
  if (!place.ok) return place
  const named = await ctx.tables.pieces.pick(['lotId'], { id: ids })
  const lots = await ctx.tables.lots.find(
    { id: [...new Set(named.map(piece => piece.lotId))] },
    { order: [['id', 'ASC']], lock: true },
  )
  // Pieces are read now that nobody else can tell anything of them.
  const pieces = await ctx.tables.pieces.find({ id: ids })
  if (pieces.length !== ids.length) return refuse('no_such_piece', {}, ['pieceIds'])
  // Some pieces of a lot may be smoked while the others cure on.
  const inCure = pieces.find(piece => piece.stage === 'cure')
  const curing = inCure && lots.find(lot => lot.id === inCure.lotId)
  if (curing) return refuse('still_curing', { code: curing.code }, ['pieceIds'])
  const held = await refuseHeld(ctx, lots, ids)
  if (!held.ok) return { ...held, path: ['pieceIds'] }
  const before = await ctx.tables.runPieces.find({ pieceId: ids })
  const open = await ctx.tables.runs.one({ id: before.map(row => row.runId), pulledAtMs: null })
  if (open) return refuse('already_in_smoke', { code: open.code }, ['pieceIds'])
  for (const key of ['coreThermometerId', 'chamberThermometerId'] as const) {
    const known = await offsetOf(ctx.tables, input[key], [key])
    if (!known.ok) return known
  }
  const unchecked = await refuseUnchecked(ctx, { asked: 'before_heat', placeId: place.value.id }, input.unchecked)
  if (unchecked) return unchecked
  const asked = await againstPlan(
    ctx,
    lots.map(lot => ({ id: lot.id, pieces: pieces.filter(piece => piece.lotId === lot.id).map(piece => piece.id) })),
    { deed: 'heat', atMs: ctx.nowMs, despite: input.despite, path: ['pieceIds'] },
  )
  if (asked.refused) return asked.refused
  const code = await nextCode(ctx.tables, 'run')
  const runId = await ctx.tables.runs.insert({
    code,
    smoker: place.value.name,
    placeId: place.value.id,
    targetCoreC: input.targetCore.tempC,
    startedAtMs: ctx.nowMs,
    startedById: ctx.actor.id,
    coreThermometerId: input.coreThermometerId,
    chamberThermometerId: input.chamberThermometerId,
  })
  await ctx.tables.runPieces.insertMany(ids.map(pieceId => ({ runId, pieceId })))
  const steps: number[] = []
  for (const lot of lots) {
    // Judged before the least that stayed was worked out: it is, before it can decide how the lot cools.
    if (lot.judgement.stayed === undefined) await keepStayed(ctx, lot.id)
    const laid = await laySteps(ctx, lot, [
      {
        kind: 'heat',
        pieces: pieces.filter(piece => piece.lotId === lot.id).map(piece => piece.id),
        placeId: place.value.id,
        toMs: null,
        runId,
        figures: { code, targetC: input.targetCore.tempC, back: true, ...keptAgainst(asked.against, lot.id) },
      },
    ])
    if (!laid.ok) return { ...laid, path: ['pieceIds'] }
    steps.push(...laid.value.ids)
  }
  recordEvent(ctx, {
    kind: 'run_started',
    subjects: [code, ...lots.map(lot => lot.code)],
    typed: input,
    computed: { targetCoreC: input.targetCore.tempC, runId },
    ...reasonsOf(despiteOf(asked.against, input.despite)),
    steps,
  })
  return { ok: true, value: { code } }
}

/** A smoke and the lots in it, locked: the lots first, as every write does. */
async function lockedRun(ctx: WriteContext, code: string) {
  const known = await ctx.tables.runs.one({ code })
  if (known) await lockRows(ctx.tables, { lots: (await lotsOfRun(ctx, known.id)).lots.map(lot => lot.id) })
  const run = known && (await ctx.tables.runs.one({ code }, { lock: true }))
  return run ? { ok: true as const, value: run } : refuse('no_such_run', { code })
}

/**
 * A logger's rows stand in the smoke, each as it was typed and sealed by this record: told again here they would fill
 * every page of the book.
 */
const MOST_TOLD = 40
function toldReadings({ phase, source, readings }: z.output<typeof runReadingsInput>) {
  if (readings.length <= MOST_TOLD) return { phase, source, readings }
  return { phase, source, count: readings.length, fromMs: readings[0]!.atMs, toMs: lastOf(readings).atMs }
}

/** Adds chamber and core readings, all or none. Two at one time in one phase are refused with the row that repeats. */
export async function addReadings(
  ctx: WriteContext,
  code: string,
  input: z.output<typeof runReadingsInput>,
): Promise<Answer<{ added: number }>> {
  const found = await lockedRun(ctx, code)
  if (!found.ok) return found
  const run = found.value
  if (input.phase === 'cool' && run.pulledAtMs === null) return refuse('not_pulled', { code })
  const times = input.readings.map(reading => reading.atMs)
  const span = between(
    times.reduce((a, b) => Math.min(a, b)),
    times.reduce((a, b) => Math.max(a, b)),
  )
  const seen = new Set(
    (await ctx.tables.runReadings.pick(['atMs'], { runId: run.id, phase: input.phase, atMs: span })).map(
      reading => reading.atMs,
    ),
  )
  for (const [i, reading] of input.readings.entries()) {
    const path = ['readings', i, 'atMs']
    if (reading.atMs > ctx.nowMs + READING_AHEAD_MS) return refuse('in_the_future', { row: i + 1 }, path)
    if (reading.atMs < run.startedAtMs - READING_EARLY_MS) return refuse('before_the_start', { row: i + 1 }, path)
    if (seen.has(reading.atMs)) return refuse('reading_twice', { row: i + 1 }, path)
    seen.add(reading.atMs)
  }
  const [coreOffset, chamberOffset] = [
    await offsetOf(ctx.tables, run.coreThermometerId, []),
    await offsetOf(ctx.tables, run.chamberThermometerId, []),
  ]
  if (!coreOffset.ok) return coreOffset
  if (!chamberOffset.ok) return chamberOffset
  const offsets = { coreOffsetC: coreOffset.value, chamberOffsetC: chamberOffset.value }
  const readingIds = await ctx.tables.runReadings.insertMany(
    input.readings.map(({ atMs, chamber, core }) => ({
      runId: run.id,
      phase: input.phase,
      atMs,
      ...offsets,
      chamberC: chamber ? withoutOffset(chamber.tempC, offsets.chamberOffsetC) : null,
      coreC: core ? withoutOffset(core.tempC, offsets.coreOffsetC) : null,
      typed: `${chamber?.typed ?? ''} | ${core?.typed ?? ''}`,
      source: input.source,
      byId: ctx.actor.id,
    })),
  )
  const { lots } = await lotsOfRun(ctx, run.id)
  recordEvent(ctx, {
    kind: 'run_read',
    subjects: [code, ...lots.map(lot => lot.code)],
    typed: toldReadings(input),
    computed: {
      runId: run.id,
      readings: spansOf(readingIds),
      coreThermometerId: run.coreThermometerId,
      chamberThermometerId: run.chamberThermometerId,
      ...offsets,
    },
  })
  await checkRun(ctx, run.id)
  return { ok: true, value: { added: input.readings.length } }
}

/** The pieces come out; what the smoke made of them follows from the hottest core seen. */
export async function pullRun(ctx: WriteContext, code: string): Promise<Answer<{ outcome: string }>> {
  const found = await lockedRun(ctx, code)
  if (!found.ok) return found
  if (found.value.pulledAtMs !== null) return refuse('already_pulled', { code })
  const { hottestC } = (await runLine(ctx.tables, found.value)).figures
  // Smoked cold it stays raw, and needs no probe to be ended.
  if (hottestC === null && found.value.targetCoreC > HEAT_FROM_C)
    return refuse('no_core_reading', { code, belowC: HEAT_FROM_C })
  const outcome = outcomeOf(hottestC ?? HEAT_FROM_C)
  const endsSteps = await endHeats(ctx, found.value.id)
  await ctx.tables.runs.update(found.value.id, { pulledAtMs: ctx.nowMs, pulledById: ctx.actor.id, outcome })
  const { lots } = await lotsOfRun(ctx, found.value.id)
  recordEvent(ctx, {
    kind: 'run_pulled',
    subjects: [code, ...lots.map(lot => lot.code)],
    typed: {},
    computed: { hottestC, outcome, runId: found.value.id },
    endsSteps,
  })
  await checkRun(ctx, found.value.id)
  return { ok: true, value: { outcome } }
}
