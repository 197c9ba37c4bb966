import { readRoute } from '../../../http/read-route'
import { calendarLink } from '../../../services/calendar/links'

/** Whether one's calendar has an address, and when it was last fetched. */
export default readRoute(async ({ tables, person }) => ({ link: await calendarLink(tables, person.id) }))
