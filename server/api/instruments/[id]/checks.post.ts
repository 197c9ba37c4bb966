import { getRouterParam } from 'h3'
import { checkInput } from '#shared/contracts/instruments'
import { writeRoute } from '../../../http/write-route'
import { recordCheck } from '../../../services/instruments/manage'

export default writeRoute({ contract: checkInput, write: (ctx, input, event) => recordCheck(ctx, Number(getRouterParam(event, 'id')), input) })
