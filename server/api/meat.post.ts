import { meatInput } from '#shared/contracts/store'
import { writeRoute } from '../http/write-route'
import { receiveMeat } from '../services/store/receive'

export default writeRoute({ contract: meatInput, write: receiveMeat })
