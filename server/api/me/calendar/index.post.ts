import { emptyInput } from '#shared/contracts/lots'
import { writeRoute } from '../../../http/write-route'
import { linkCalendar } from '../../../services/calendar/links'

export default writeRoute({ contract: emptyInput, ownSignIn: true, confirmed: true, shownOnce: true, write: linkCalendar })
