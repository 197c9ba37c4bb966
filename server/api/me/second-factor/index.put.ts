import { secondFactorInput } from '#shared/contracts/people'
import { writeRoute } from '../../../http/write-route'
import { setSecondFactor } from '../../../services/people/second-factor'

export default writeRoute({
  contract: secondFactorInput,
  roles: ['owner'],
  ownSignIn: true,
  confirmed: true,
  shownOnce: true,
  write: setSecondFactor,
})
