import { getRouterParam } from 'h3'
import { dispositionInput } from '#shared/contracts/holds'
import { writeRoute } from '../../../http/write-route'
import { dispose } from '../../../services/holds/holds'

export default writeRoute({ contract: dispositionInput, roles: ['owner'], write: (ctx, input, event) => dispose(ctx, Number(getRouterParam(event, 'id')), input) })
