import { defineNuxtRouteMiddleware, navigateTo } from '#imports'
import { useSession } from '~/stores/session'

/** Nobody is in a room before they are signed in; the first visit sets the shop up. */
export default defineNuxtRouteMiddleware(async (to) => {
  const session = useSession()
  if (!session.view) await session.load()
  if (session.view?.needsSetup) return to.path === '/set-up' ? undefined : navigateTo('/set-up')
  if (!session.user)
    return to.path === '/sign-in'
      ? undefined
      : navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { then: to.fullPath } })
  if (to.path === '/sign-in' || to.path === '/set-up') return navigateTo('/')
})
