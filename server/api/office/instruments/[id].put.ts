import { getRouterParam } from 'h3'
import { instrumentChangeInput } from '#shared/contracts/instruments'
import { writeRoute } from '../../../http/write-route'
import { changeInstrument } from '../../../services/instruments/manage'

export default writeRoute({ contract: instrumentChangeInput, roles: ['owner'], write: (ctx, input, event) => changeInstrument(ctx, Number(getRouterParam(event, 'id')), input) })
