import { CURING_SALT_NO_1 } from '#core/cure/agent'
import { formulate, type Targets } from '#core/cure/formulate'
import { suggestedSpan } from '#core/curing/day-rules'
import type { Cut, Rind } from '#core/rules/cuts'
import { rubInput } from '#shared/contracts/lots'
import type { Tables } from '../db/store'
import { drainLot, endCure, turnLot } from '../services/cold-room/cure-steps'
import { rubLot } from '../services/lots/rub-lot'
import type { Scene } from './scene'

export interface DemoLot {
  name: string
  cut: Cut
  rind: Rind
  meat: string
  rubDay: number
  rubTime: string
  weights: string[]
  /** Labels of pieces cut in the Store, in the order of the weights. */
  labels?: string[]
  ppm: number
  salt: number
  sugar: number
  thicknessMm: number
  fridge: number
  saltOnly?: boolean
  /** Days from today on which no turn was recorded. */
  missed?: number[]
  /** Day it left the cure; absent while it is in it. */
  outDay?: number
  note?: string
}

async function cutPieceId(tables: Tables, meatCode: string, label: string | undefined): Promise<number | null> {
  if (label === undefined) return null
  const meat = await tables.meatLots.one({ code: meatCode })
  return (await tables.meatPieces.one({ meatLotId: meat!.id, label }))!.id
}

const gramsOf = (typed: string): number => typed.endsWith('kg') ? Number(typed.slice(0, -2)) * 1000 : Number(typed)

/** Plans a lot's rub, turns, drain and end of cure. `who` are ids of people in turn. */
export function planLot(scene: Scene, lot: DemoLot, who: { maker: number, owner: number }, scaleIds: { meat: number, mix: number }): void {
  const greenG = lot.weights.reduce((sum, typed) => sum + gramsOf(typed), 0)
  const targets: Targets = { saltShare: lot.salt / 100, sugarShare: lot.sugar / 100, saltBasis: 'total', nitritePpm: lot.ppm }
  const plan = formulate(greenG, lot.saltOnly ? null : CURING_SALT_NO_1, targets, 0.1)
  if (!plan.ok) throw new Error(plan.code)
  const weighed = (code: string, massG: number) => ({ lotCode: scene.code(code), weighed: massG.toFixed(1) })
  scene.add(scene.at(lot.rubDay, lot.rubTime), who.maker, async ctx => rubLot(ctx, rubInput.parse({
    cut: lot.cut, rind: lot.rind, saltOnly: lot.saltOnly ?? false, note: lot.note ?? null,
    pieces: await Promise.all(lot.weights.map(async (weight, i) => ({ meatCode: scene.code(lot.meat), weight, meatPieceId: await cutPieceId(ctx.tables, scene.code(lot.meat), lot.labels?.[i]) }))),
    meatScaleId: scaleIds.meat, mixScaleId: scaleIds.mix,
    targets: { saltShare: String(lot.salt), sugarShare: String(lot.sugar), saltBasis: 'total', nitritePpm: String(lot.ppm) },
    agent: lot.saltOnly ? null : weighed('no1', plan.value.agentG), salt: weighed('salt', plan.value.saltG),
    sugar: plan.value.sugarG > 0 ? weighed('sugar', plan.value.sugarG) : null,
    thicknessMm: String(lot.thicknessMm), fridgeId: lot.fridge, ...suggestedSpan(lot.thicknessMm),
  })), lot.name)
  const lastDay = lot.outDay ?? 0
  for (let day = lot.rubDay + 1; day <= lastDay; day++) {
    if (lot.missed?.includes(day) || day === lot.outDay) continue
    const time = `0${7 + (day & 1)}:${10 + ((lot.rubDay * 7 + day * 13) % 45 + 45) % 45}`
    scene.add(scene.at(day, time), day % 3 === 0 ? who.owner : who.maker, ctx => turnLot(ctx, scene.code(lot.name)))
  }
  if (lot.rubDay + 3 <= lastDay) scene.add(scene.at(lot.rubDay + 3, '17:20'), who.maker, ctx => drainLot(ctx, scene.code(lot.name)))
  if (lot.outDay !== undefined) scene.add(scene.at(lot.outDay, '09:30'), who.maker, ctx => endCure(ctx, scene.code(lot.name)))
}
