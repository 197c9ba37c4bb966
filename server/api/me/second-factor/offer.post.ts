import { emptyInput } from '#shared/contracts/lots'
import { writeRoute } from '../../../http/write-route'
import { offerSecondFactor } from '../../../services/people/second-factor'

export default writeRoute({
  contract: emptyInput,
  roles: ['owner'],
  ownSignIn: true,
  confirmed: true,
  shownOnce: true,
  write: offerSecondFactor,
})
