import { emptyInput } from '#shared/contracts/lots'
import { getRouterParam } from 'h3'
import { writeRoute } from '../../../http/write-route'
import { openIngredient } from '../../../services/store/receive-ingredient'

export default writeRoute({
  contract: emptyInput,
  write: (ctx, _input, event) => openIngredient(ctx, getRouterParam(event, 'code')!),
})
