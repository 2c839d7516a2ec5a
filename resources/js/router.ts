import { createRouter, createWebHistory } from 'vue-router'
import ShelfScreen from './screens/ShelfScreen.vue'

const blockProp = (route: { params: Record<string, string | string[]> }) => ({ block: Number(route.params.block) })

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfScreen },
    { path: '/blocks/:block(\\d+)/wall', name: 'wall', component: () => import('./screens/WallScreen.vue'), props: blockProp },
    { path: '/blocks/:block(\\d+)/cut', name: 'cut', component: () => import('./screens/CutScreen.vue'), props: blockProp },
    { path: '/blocks/:block(\\d+)/order', name: 'order', component: () => import('./screens/OrderScreen.vue'), props: blockProp },
    { path: '/blocks/:block(\\d+)/press', name: 'press', component: () => import('./screens/PressScreen.vue'), props: blockProp },
    { path: '/blocks/:block(\\d+)/joins', name: 'joins', component: () => import('./screens/JoinsScreen.vue'), props: blockProp },
    { path: '/blocks/:block(\\d+)/machine', name: 'machine', component: () => import('./screens/MachineScreen.vue'), props: blockProp },
    { path: '/blocks/:block(\\d+)/photo', name: 'photo', component: () => import('./screens/PhotoScreen.vue'), props: blockProp },
    { path: '/blocks/:block(\\d+)/logbook', name: 'logbook-of', component: () => import('./screens/LogbookScreen.vue'), props: blockProp },
    { path: '/tops/:top(\\d+)/sew', name: 'sew-top', component: () => import('./screens/TopMachineScreen.vue'), props: (route) => ({ top: Number(route.params.top) }) },
    { path: '/tops/:top(\\d+)', name: 'top', component: () => import('./screens/TopScreen.vue'), props: (route) => ({ top: Number(route.params.top) }) },
    { path: '/logbook', name: 'logbook', component: () => import('./screens/LogbookScreen.vue'), props: { block: null } },
    { path: '/shared', name: 'shared', component: () => import('./screens/SharedScreen.vue') },
    { path: '/words', name: 'words', component: () => import('./screens/WordsScreen.vue') },
    { path: '/:rest(.*)', redirect: '/' },
  ],
})
