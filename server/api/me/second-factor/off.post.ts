import { secondFactorOffInput } from '#shared/contracts/people'
import { appState } from '../../../http/app-state'
import { writeRoute } from '../../../http/write-route'
import { checkCurrent, dropSecondFactor } from '../../../services/people/second-factor'

export default writeRoute({
  contract: secondFactorOffInput,
  roles: ['owner'],
  ownSignIn: true,
  confirmed: true,
  before: ({ current }, at, nowMs) => checkCurrent(appState().store, at, current, nowMs),
  write: dropSecondFactor,
})
