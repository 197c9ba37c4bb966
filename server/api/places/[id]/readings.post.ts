import { placeReadingInput } from '#shared/contracts/places'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { readPlace } from '../../../services/places/read-place'

export default writeRoute({
  contract: placeReadingInput,
  write: (ctx, input, event) => readPlace(ctx, routeId(event), input),
})
