import { getRouterParam } from 'h3'
import { partyChangeInput } from '#shared/contracts/store'
import { writeRoute } from '../../http/write-route'
import { changeParty } from '../../services/store/parties'

export default writeRoute({ contract: partyChangeInput, write: (ctx, input, event) => changeParty(ctx, Number(getRouterParam(event, 'id')), input) })
