import { getRouterParam, type H3Event } from 'h3'

/** What a route's path has between its slashes, by the name that its file gives it. */
export function routeParam(event: H3Event, name: string): string {
  const text = getRouterParam(event, name)
  if (text === undefined) throw new Error(`This route has no ${name} in its path.`)
  return text
}
/** The code in a route's path, as it was sent. */
export const routeCode = (event: H3Event): string => routeParam(event, 'code')

/** The number in a route's path; 0, which nothing has, when it is none. */
export function routeId(event: H3Event): number {
  const id = Number(getRouterParam(event, 'id'))
  return Number.isSafeInteger(id) && id > 0 ? id : 0
}
