import { readCode } from '#core/trace/code'
import type { Tables } from '../../db/database'

/** Ids of the lots that a code touches; null when no such code was ever given. */
export async function lotsThrough(tables: Tables, code: string): Promise<number[] | null> {
  switch (readCode(code)?.kind) {
    case 'lot': {
      const lot = (await tables.lots.pick([], { code }))[0] ?? null
      return lot && [lot.id]
    }
    case 'delivery': {
      const delivery = await tables.deliveries.one({ code })
      const meat = delivery && (await tables.meatLots.pick([], { deliveryId: delivery.id }))
      return (
        meat && (await tables.pieces.pick(['lotId'], { meatLotId: meat.map(lot => lot.id) })).map(piece => piece.lotId)
      )
    }
    case 'meat': {
      const meat = await tables.meatLots.one({ code })
      return meat && (await tables.pieces.pick(['lotId'], { meatLotId: meat.id })).map(piece => piece.lotId)
    }
    case 'ingredient': {
      const ingredient = await tables.ingredientLots.one({ code })
      if (!ingredient) return null
      // What went into a bulk mix goes wherever the mix goes.
      const mixes = await tables.mixParts.pick(['mixLotId'], { ingredientLotId: ingredient.id })
      return (
        await tables.lotIngredients.pick(['lotId'], {
          ingredientLotId: [ingredient.id, ...mixes.map(part => part.mixLotId)],
        })
      ).map(part => part.lotId)
    }
    case 'run': {
      const run = await tables.runs.one({ code })
      if (!run) return null
      const inRun = await tables.runPieces.pick(['pieceId'], { runId: run.id })
      return (await tables.pieces.pick(['lotId'], { id: inRun.map(row => row.pieceId) })).map(piece => piece.lotId)
    }
    case 'pack': {
      const pack = await tables.packs.one({ code })
      return pack && [pack.lotId]
    }
    default:
      return null
  }
}
