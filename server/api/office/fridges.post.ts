import { placeInput } from '#shared/contracts/places'
import { fridgeInput } from '#shared/contracts/instruments'
import { writeRoute } from '../../http/write-route'
import { addPlace } from '../../services/places/set-up-place'

/** A new fridge, for programs from before there were other places. */
export default writeRoute({
  contract: fridgeInput,
  roles: ['owner'],
  write: (ctx, input) => addPlace(ctx, placeInput.parse({ ...input, kind: 'fridge' })),
})
