import { getRouterParam } from 'h3'
import { weighedAfterInput } from '#shared/contracts/rub'
import { writeRoute } from '../../../http/write-route'
import { weighAfter } from '../../../services/lots/after-rub'

export default writeRoute({
  contract: weighedAfterInput,
  write: (ctx, input, event) => weighAfter(ctx, getRouterParam(event, 'code')!, input),
})
