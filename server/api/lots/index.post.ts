import { rubInput } from '#shared/contracts/rub'
import { writeRoute } from '../../http/write-route'
import { rubLot } from '../../services/rub/rub-lot'

export default writeRoute({ contract: rubInput, write: rubLot })
