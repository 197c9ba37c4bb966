import { cuttingInput } from '#shared/contracts/store'
import { cutMeat } from '../services/store/cut-meat'
import type { Scene } from './scene'

const SHOULDERS = [
  { label: '1', trim: '205', bone: '720', pieces: ['3.12 kg', '2.98 kg'] },
  { label: '2', trim: '280', bone: '700', pieces: ['2.87 kg', '2.94 kg'] },
  { label: '3', trim: '210', bone: '690', pieces: ['2.79 kg', '2.92 kg'] },
]

/** Three bone-in shoulders, each boned and split in two; the bones, the trim and the grams nobody can account for. */
export function planCuttings(scene: Scene, who: number, scaleId: number): void {
  const cut = (time: string, body: Record<string, unknown>, label?: string) =>
    scene.add(
      scene.at(-15, time),
      who,
      async (ctx) => {
        const code = scene.code('shoulders A')
        const meat = await ctx.tables.meatLots.one({ code })
        const parent = label === undefined ? null : await ctx.tables.meatPieces.one({ meatLotId: meat!.id, label })
        return cutMeat(
          ctx,
          code,
          cuttingInput.parse({
            pieceId: parent?.id ?? null,
            taken: null,
            trim: null,
            bone: null,
            rind: null,
            note: null,
            scaleId,
            ...body,
          }),
        )
      },
      undefined,
      'Bench tablet',
    )
  cut('10:05', { kind: 'cut', taken: '20.6 kg', pieces: ['7.05 kg', '6.85 kg', '6.66 kg'] })
  for (const [i, { label, ...parts }] of SHOULDERS.entries()) cut(`10:${20 + i * 9}`, { kind: 'bone', ...parts }, label)
}
