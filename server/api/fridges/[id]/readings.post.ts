import { getRouterParam } from 'h3'
import { fridgeReadingInput } from '#shared/contracts/cold-room'
import { writeRoute } from '../../../http/write-route'
import { readFridge } from '../../../services/cold-room/read-fridge'

export default writeRoute({ contract: fridgeReadingInput, write: (ctx, input, event) => readFridge(ctx, Number(getRouterParam(event, 'id')), input.temperature) })
