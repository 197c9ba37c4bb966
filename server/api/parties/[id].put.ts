import { partyChangeInput } from '#shared/contracts/store'
import { routeId } from '../../http/route-param'
import { writeRoute } from '../../http/write-route'
import { changeParty } from '../../services/store/parties'

export default writeRoute({
  contract: partyChangeInput,
  write: (ctx, input, event) => changeParty(ctx, routeId(event), input),
})
