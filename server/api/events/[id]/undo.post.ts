import { getRouterParam } from 'h3'
import { emptyInput } from '#shared/contracts/lots'
import { writeRoute } from '../../../http/write-route'
import { undoRecord } from '../../../services/voids/void-record'

export default writeRoute({ contract: emptyInput, write: (ctx, _input, event) => undoRecord(ctx, Number(getRouterParam(event, 'id'))) })
