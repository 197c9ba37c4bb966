import { ownRulesInput } from '#shared/contracts/rules'
import { writeRoute } from '../../http/write-route'
import { saveOwnRules } from '../../services/rules/manage-rules'

export default writeRoute({ contract: ownRulesInput, roles: ['owner'], write: saveOwnRules })
