import { createRouter, createWebHistory } from 'vue-router'
import CutScreen from './screens/CutScreen.vue'
import JoinsScreen from './screens/JoinsScreen.vue'
import LogbookScreen from './screens/LogbookScreen.vue'
import MachineScreen from './screens/MachineScreen.vue'
import OrderScreen from './screens/OrderScreen.vue'
import PressScreen from './screens/PressScreen.vue'
import ShelfScreen from './screens/ShelfScreen.vue'
import WallScreen from './screens/WallScreen.vue'

const blockProp = (route: { params: Record<string, string | string[]> }) => ({ block: Number(route.params.block) })

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfScreen },
    { path: '/blocks/:block(\\d+)/wall', name: 'wall', component: WallScreen, props: blockProp },
    { path: '/blocks/:block(\\d+)/cut', name: 'cut', component: CutScreen, props: blockProp },
    { path: '/blocks/:block(\\d+)/order', name: 'order', component: OrderScreen, props: blockProp },
    { path: '/blocks/:block(\\d+)/press', name: 'press', component: PressScreen, props: blockProp },
    { path: '/blocks/:block(\\d+)/joins', name: 'joins', component: JoinsScreen, props: blockProp },
    { path: '/blocks/:block(\\d+)/machine', name: 'machine', component: MachineScreen, props: blockProp },
    { path: '/blocks/:block(\\d+)/logbook', name: 'logbook-of', component: LogbookScreen, props: blockProp },
    { path: '/logbook', name: 'logbook', component: LogbookScreen, props: { block: null } },
    { path: '/:rest(.*)', redirect: '/' },
  ],
})
