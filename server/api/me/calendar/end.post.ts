import { emptyInput } from '#shared/contracts/lots'
import { ROLES } from '#shared/contracts/people'
import { writeRoute } from '../../../http/write-route'
import { endCalendar } from '../../../services/calendar/links'

export default writeRoute({ contract: emptyInput, roles: ROLES, ownSignIn: true, write: endCalendar })
