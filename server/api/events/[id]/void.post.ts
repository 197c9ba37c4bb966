import { getRouterParam } from 'h3'
import { voidInput } from '#shared/contracts/voids'
import { writeRoute } from '../../../http/write-route'
import { voidRecord } from '../../../services/voids/void-record'

export default writeRoute({ contract: voidInput, write: (ctx, input, event) => voidRecord(ctx, Number(getRouterParam(event, 'id')), input.reason) })
