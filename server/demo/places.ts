import { placeInput } from '#shared/contracts/places'
import type { z } from 'zod'
import type { WriteContext } from '../services/context'
import { addPlace, changePlace } from '../services/places/set-up-place'

/** Where meat lies in the demo shop, by what it is for. */
export interface DemoPlaces {
  coldRoom: number
  reachIn: number
  garage: number
}

/** The first visit's cold room and smoker, and two places more. */
export async function demoPlaces(
  ctx: WriteContext,
  instruments: { reachIn: number; garage: number },
): Promise<DemoPlaces> {
  const add = async (place: z.input<typeof placeInput>) => {
    const added = await addPlace(ctx, placeInput.parse(place))
    if (!added.ok) throw new Error(added.code)
    return added.value.id
  }
  const [coldRoom, smoker] = await ctx.tables.places.find({}, { order: [['id', 'ASC']] })
  await changePlace(ctx, smoker!.id, placeInput.parse({ name: 'Brick smoker', kind: 'smoker', hooks: 24 }))
  return {
    coldRoom: coldRoom!.id,
    reachIn: await add({ name: 'Reach-in fridge', kind: 'fridge', thermometerId: instruments.reachIn, shelves: 4 }),
    garage: await add({ name: 'North garage', kind: 'garage', thermometerId: instruments.garage, shelves: 3 }),
  }
}
