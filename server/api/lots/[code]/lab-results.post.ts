import { getRouterParam } from 'h3'
import { labResultInput } from '#shared/contracts/rub'
import { writeRoute } from '../../../http/write-route'
import { recordLabResult } from '../../../services/lots/after-rub'

export default writeRoute({
  contract: labResultInput,
  write: (ctx, input, event) => recordLabResult(ctx, getRouterParam(event, 'code')!, input),
})
