import { emptyInput } from '#shared/contracts/lots'
import { routeId } from '../../../../http/route-param'
import { writeRoute } from '../../../../http/write-route'
import { endLink } from '../../../../services/calendar/links'

export default writeRoute({
  contract: emptyInput,
  roles: ['owner'],
  write: (ctx, _input, event) => endLink(ctx, routeId(event)),
})
