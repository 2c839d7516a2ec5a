import '@fontsource-variable/source-sans-3/wght.css'
import './styles/tokens.css'
import './styles/base.css'
import './styles/drawing.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { tip } from './directives/tip'
import { router } from './router'

// The other stations come when there is nothing else to do, so that they open at once and without the server.
void router.isReady().then(() =>
  window.setTimeout(() => {
    for (const route of router.getRoutes()) {
      const load = route.components?.default
      if (typeof load === 'function') void (load as () => Promise<unknown>)().catch(() => undefined)
    }
  }, 1500),
)

createApp(App).directive('tip', tip).use(createPinia()).use(router).mount('#app')
