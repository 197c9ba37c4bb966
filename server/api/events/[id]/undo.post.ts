import { emptyInput } from '#shared/contracts/lots'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { undoRecord } from '../../../services/voids/void-record'

export default writeRoute({ contract: emptyInput, write: (ctx, _input, event) => undoRecord(ctx, routeId(event)) })
