import type { z } from 'zod'
import { pressInput } from '#shared/steps/press'
import { recordPress } from '../services/press/record-press'
import type { ROUGH_ML } from '#core/rules/house'
import type { Scene } from './scene'

export interface ToldLot {
  name: string
  fridge: number
  garage?: number
  /** How its pieces lie. */
  spot?: string
  /** Poured off each day, as it was told. */
  pouredOff?: Partial<Record<number, keyof typeof ROUGH_ML>>
  /** Weighed on such a day, all pieces together. */
  weighed?: { day: number; weight: string }
  /** Out on such a day, rinsed so often, and laid to rest in one press. */
  rinsedAndRested?: { day: number; time: string; rinses: number }
  /** Out of its fridge for a day and back: told on the way there, and late on the way back. */
  inGarage?: { from: number; to: number }
}

/** What else is told of a lot in the cure: liquid poured off day by day, a way to the garage and back, told late. */
export function planSteps(scene: Scene, lot: ToldLot, who: { maker: number; owner: number; meatScale: number }): void {
  const press = (day: number, time: string, steps: z.input<typeof pressInput>['steps'], minutesAgo = 0) =>
    scene.add(scene.at(day, time), who.maker, ctx =>
      recordPress(
        ctx,
        pressInput.parse({
          steps,
          lots: [{ code: scene.code(lot.name), pieces: null }],
          when: minutesAgo > 0 ? { told: 'ago', minutes: minutesAgo } : { told: 'now' },
        }),
      ),
    )
  for (const [day, rough] of Object.entries(lot.pouredOff ?? {}))
    press(Number(day), '17:20', [
      { kind: 'drain', how: 'poured_off', liquid: { told: 'rough', rough: rough! }, back: false, saltLies: false },
    ])
  if (lot.weighed)
    press(lot.weighed.day, '17:25', [
      { kind: 'weigh', weight: lot.weighed.weight, scaleId: who.meatScale, saltLies: false },
    ])
  if (lot.rinsedAndRested) {
    const { day, time, rinses } = lot.rinsedAndRested
    press(day, time, [
      { kind: 'out', rinses },
      { kind: 'rest', minutes: null, how: 'wrapped', placeId: null },
    ])
  }
  if (!lot.inGarage) return
  const { from, to } = lot.inGarage
  press(from, '12:10', [{ kind: 'move', placeId: lot.garage!, spot: 'shelf 1' }])
  press(to, '09:25', [{ kind: 'move', placeId: lot.fridge, spot: lot.spot ?? null }], 80)
}
