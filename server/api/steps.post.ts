import { pressInput } from '#shared/steps/press'
import { writeRoute } from '../http/write-route'
import { recordPress } from '../services/press/record-press'

/** Whatever is done to lots after the rub: one to four steps a press. */
export default writeRoute({ contract: pressInput, write: (ctx, input) => recordPress(ctx, input) })
