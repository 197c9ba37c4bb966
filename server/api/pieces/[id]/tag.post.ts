import { tagInput } from '#shared/entry/tags'
import { routeId } from '../../../http/route-param'
import { writeRoute } from '../../../http/write-route'
import { tagPiece } from '../../../services/lots/tag-piece'

export default writeRoute({
  contract: tagInput,
  write: (ctx, input, event) => tagPiece(ctx, routeId(event), input),
})
