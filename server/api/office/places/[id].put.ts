import { placeInput } from '#shared/contracts/places'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { changePlace } from '../../../services/places/set-up-place'

export default writeRoute({
  contract: placeInput,
  roles: ['owner'],
  write: (ctx, input, event) => changePlace(ctx, routeId(event), input),
})
