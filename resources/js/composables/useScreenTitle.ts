import { nextTick, watch } from 'vue'
import { useRouter, type Router } from 'vue-router'

const watched = new WeakSet<Router>()
let hasChanged = false

/**
 * The window's title while a screen is open; after a change of screen the focus goes to its heading once there is one, so
 * that it is read out and the keyboard goes on from there.
 *
 * @param title what is open, null until it is known
 */
export function useScreenTitle(title: () => string | null) {
  const router = useRouter()
  if (!watched.has(router)) {
    watched.add(router)
    router.afterEach((to, from) => (hasChanged = from.name !== undefined && from.name !== to.name))
  }
  watch(title, (now) => (document.title = now === null ? 'Keen Seam' : `${now} · Keen Seam`), { immediate: true })
  watch(
    () => title() !== null,
    async (isThere) => {
      if (!isThere || !hasChanged) return
      hasChanged = false
      await nextTick()
      const heading = document.querySelector('h1')
      heading?.setAttribute('tabindex', '-1')
      heading?.focus({ preventScroll: true })
    },
    { immediate: true, flush: 'post' },
  )
}
