import { emptyInput } from '#shared/contracts/lots'
import { writeRoute } from '../../../http/write-route'
import { endCalendar } from '../../../services/calendar/links'

export default writeRoute({ contract: emptyInput, ownSignIn: true, write: endCalendar })
