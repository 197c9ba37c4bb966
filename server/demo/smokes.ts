import { lastOf } from '#core/lists/last-of'
import { type Celsius, type Milliseconds, MS_PER_MINUTE } from '#core/units/quantities'
import { runInput, runReadingsInput } from '#shared/contracts/smoke'
import { dispatchInput, slicingInput } from '#shared/contracts/slicing'
import { recordSlicing } from '../services/slicing/record-slicing'
import { sendPacks } from '../services/slicing/send-packs'
import { addReadings, pullRun, startRun } from '../services/smoke/runs'
import { coolingCurve, smokeCurve, type CurvePoint } from './curves'
import { PROBE_OFFSET_C } from './instruments'
import type { Scene } from './scene'

const celsius = (tempC: Celsius) => ({ typed: tempC.toFixed(1), unit: 'C' as const })
const readings = (points: readonly (Pick<CurvePoint, 'atMs' | 'coreC'> & { chamberC?: Celsius })[]) =>
  points.map(point => ({
    atMs: point.atMs,
    chamber: point.chamberC === undefined ? null : celsius(point.chamberC),
    core: celsius(point.coreC + PROBE_OFFSET_C),
  }))

export interface DemoSmoke {
  name: string
  lots: string[]
  startMs: Milliseconds
  minutes: number
  chamberC: Celsius
  perMinute: number
  targetC: Celsius
  seed: number
  who: number
  probe: number
  /** Left out while it is still smoking. */
  pull?: { coolPerMinute: number; coolMinutes: number }
}

/** Plans a smoke with its readings, and its pull and cooling when it has them. */
export function planSmoke(scene: Scene, smoke: DemoSmoke): void {
  scene.add(
    smoke.startMs,
    smoke.who,
    async (ctx) => {
      const lots = await ctx.tables.lots.find({ code: smoke.lots.map(name => scene.code(name)) })
      const pieces = await ctx.tables.pieces.find({ lotId: lots.map(lot => lot.id) })
      return startRun(
        ctx,
        runInput.parse({
          smoker: 'Brick smoker',
          pieceIds: pieces.map(piece => piece.id),
          targetCore: celsius(smoke.targetC),
          coreThermometerId: smoke.probe,
        }),
      )
    },
    smoke.name,
  )
  const points = smokeCurve({
    startMs: smoke.startMs,
    minutes: smoke.minutes,
    everyMinutes: 15,
    chamberC: smoke.chamberC,
    startCoreC: 5.5,
    perMinute: smoke.perMinute,
    seed: smoke.seed,
  }).filter(point => point.atMs <= scene.nowMs)
  const reached = points.findIndex(point => point.coreC >= smoke.targetC)
  if (reached >= 0) points.length = reached + 1
  const last = lastOf(points)
  scene.add(last.atMs, smoke.who, ctx =>
    addReadings(
      ctx,
      scene.code(smoke.name),
      runReadingsInput.parse({ phase: 'smoke', source: 'hand', readings: readings(points) }),
    ),
  )
  if (!smoke.pull) return
  const pullMs = last.atMs + 3 * MS_PER_MINUTE
  scene.add(pullMs, smoke.who, ctx => pullRun(ctx, scene.code(smoke.name)))
  const cooling = coolingCurve(pullMs, last.coreC, smoke.pull.coolPerMinute, smoke.pull.coolMinutes, 30).filter(
    point => point.atMs <= scene.nowMs,
  )
  scene.add(lastOf(cooling).atMs, smoke.who, ctx =>
    addReadings(
      ctx,
      scene.code(smoke.name),
      runReadingsInput.parse({ phase: 'cool', source: 'csv', readings: readings(cooling) }),
    ),
  )
}

export interface DemoPacks {
  lot: string
  day: number
  readyKg: string
  packs: string[]
  ends: string[]
  rindG?: string
  who: number
}

/** Plans the slicing of a lot. */
export function planSlicing(scene: Scene, p: DemoPacks): void {
  scene.add(scene.at(p.day, '11:15'), p.who, ctx =>
    recordSlicing(
      ctx,
      scene.code(p.lot),
      slicingInput.parse({
        readyWeight: p.readyKg,
        packedOn: scene.day(p.day),
        packs: [
          ...p.packs.map(weight => ({ kind: 'sliced', weight })),
          ...p.ends.map(weight => ({ kind: 'ends', weight })),
        ],
        offcuts: p.rindG ? [{ kind: 'rind', weight: p.rindG }] : [],
      }),
    ),
  )
}

/** Plans what goes to a customer: packs `from` to `to` of a lot, counted from 0. */
export function planSending(
  scene: Scene,
  lot: string,
  day: number,
  customer: string,
  from: number,
  to: number,
  who: number,
): void {
  scene.add(scene.at(day, '15:40') + from, who, async (ctx) => {
    const row = await ctx.tables.lots.one({ code: scene.code(lot) })
    const packs = await ctx.tables.packs.find({ lotId: row!.id }, { order: [['id', 'ASC']] })
    return sendPacks(
      ctx,
      dispatchInput.parse({
        customer,
        sentOn: scene.day(day),
        packCodes: packs.slice(from, to).map(pack => pack.code),
      }),
    )
  })
}
