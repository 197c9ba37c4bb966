import { pinInput } from '#shared/contracts/people'
import { writeRoute } from '../../http/write-route'
import { choosePin } from '../../services/people/pins'

export default writeRoute({ contract: pinInput, ownSignIn: true, write: choosePin })
