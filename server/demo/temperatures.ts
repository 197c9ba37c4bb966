import type { Celsius } from '#core/units/quantities'
import { placeReadingInput } from '#shared/contracts/places'
import { correctionInput } from '#shared/contracts/corrections'
import { turnLot } from '../services/press/cure-steps'
import { readPlace } from '../services/places/read-place'
import type { DemoPlaces } from './places'
import { correct } from '../services/corrections/correct'
import { undoRecord } from '../services/voids/void-record'
import { seeded } from '#core/lists/seeded'
import type { Scene } from './scene'

const FIRST_DAY = -18

/** Readings of all fridges, morning and evening; one of them ran warm two days ago. */
export function planTemperatures(scene: Scene, who: number, fridge: DemoPlaces): void {
  const random = seeded(4750)
  const read = (day: number, time: string, fridgeId: number, tempC: Celsius) => {
    const reading = placeReadingInput.parse({ temperature: { typed: tempC.toFixed(1), unit: 'C' } })
    scene.add(scene.at(day, time), who, ctx => readPlace(ctx, fridgeId, reading))
  }
  for (let day = FIRST_DAY; day <= 0; day++) {
    read(day, '07:05', fridge.coldRoom, 2.4 + random() * 0.9)
    // Salt only lies in it: never twelve hours without a look.
    read(day, '12:40', fridge.coldRoom, 3.1)
    read(day, '20:10', fridge.coldRoom, 2.8 + random() * 0.9)
    read(day, '07:12', fridge.garage, 1.9 + random() * 1.4)
    read(day, '07:08', fridge.reachIn, 2.6 + random() * 0.8)
    if (day !== -2) read(day, '16:53', fridge.reachIn, 3.0 + random() * 0.8)
  }
  read(-2, '13:10', fridge.reachIn, 8.1)
  read(-2, '15:40', fridge.reachIn, 8.7)
  read(-2, '17:05', fridge.reachIn, 4.2)
}

/** A slip of the pen set right, and a turn that was none. */
export function planCorrections(scene: Scene, who: { owner: number; maker: number }): void {
  scene.add(scene.at(-13, '10:00'), who.owner, async (ctx) => {
    const lot = await ctx.tables.lots.one({ code: scene.code('shoulder 1') })
    const piece = await ctx.tables.pieces.one({ lotId: lot!.id, number: 2 })
    return correct(
      ctx,
      correctionInput.parse({
        what: 'piece_weight',
        id: piece!.id,
        value: '2.89 kg',
        reason: 'read 2.98 for 2.89; weighed again',
      }),
    )
  })
  scene.add(scene.at(-7, '12:00'), who.maker, ctx => turnLot(ctx, scene.code('shoulder 1')))
  scene.add(scene.at(-7, '12:04'), who.maker, async (ctx) => {
    const [turned] = await ctx.tables.events.find({ kind: 'step', atMs: scene.at(-7, '12:00') })
    return undoRecord(ctx, turned!.id)
  })
}
