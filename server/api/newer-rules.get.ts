import { readRoute } from '../http/read-route'
import { newerRulesView } from '../services/upgrade/newer-rules-view'

/** What a newer version holds that the one before let pass, and who has of it. */
export default readRoute(({ tables }) => newerRulesView(tables))
