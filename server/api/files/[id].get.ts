import { setResponseHeaders } from 'h3'
import { routeId } from '../../http/route-param'
import { readRoute } from '../../http/read-route'
import { refuse } from '../../services/context'

/** A kept file, to look at or save; never run by the browser. */
export default readRoute(async ({ event, tables }) => {
  const file = await tables.files.one({ id: routeId(event) })
  if (!file) return refuse('no_such_file')
  setResponseHeaders(event, {
    'content-type': file.mime,
    'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(file.name)}`,
    'content-security-policy': 'sandbox; default-src \'none\'; img-src \'self\'',
    'etag': `"${file.sha256}"`,
  })
  return file.content
})
