import { getRouterParam } from 'h3'
import { fridgeInput } from '#shared/contracts/instruments'
import { writeRoute } from '../../../http/write-route'
import { changeFridge } from '../../../services/instruments/manage'

export default writeRoute({ contract: fridgeInput, roles: ['owner'], write: (ctx, input, event) => changeFridge(ctx, Number(getRouterParam(event, 'id')), input) })
