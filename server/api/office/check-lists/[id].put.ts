import { checkListInput } from '#shared/contracts/checks'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { changeCheckList } from '../../../services/checks/check-lists'

export default writeRoute({
  contract: checkListInput,
  roles: ['owner'],
  write: (ctx, input, event) => changeCheckList(ctx, routeId(event), input),
})
