import { fridgeReadingInput } from '#shared/contracts/cold-room'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { readFridge } from '../../../services/places/read-fridge'

export default writeRoute({
  contract: fridgeReadingInput,
  write: (ctx, input, event) => readFridge(ctx, routeId(event), input.temperature),
})
