import { getRouterParam } from 'h3'
import { voidTurnInput } from '#shared/contracts/lots'
import { writeRoute } from '../../../http/write-route'
import { voidTurn } from '../../../services/cold-room/cure-steps'

export default writeRoute({ contract: voidTurnInput, write: (ctx, input, event) => voidTurn(ctx, Number(getRouterParam(event, 'id')), input.reason) })
