import { checkListInput } from '#shared/contracts/checks'
import { writeRoute } from '../../http/write-route'
import { addCheckList } from '../../services/checks/check-lists'

export default writeRoute({ contract: checkListInput, roles: ['owner'], write: addCheckList })
