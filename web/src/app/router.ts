import { createRouter, createWebHistory, type Router } from 'vue-router'

/** Every stage is loaded when it is first opened; its left pane comes with it. */
export function createAppRouter(history = createWebHistory()): Router {
  return createRouter({
    history,
    routes: [
      { path: '/', redirect: '/today' },
      { path: '/today', name: 'today', component: () => import('@/stages/today/TodayPage.vue') },
      { path: '/gather', name: 'gather', component: () => import('@/stages/gather/GatherPage.vue') },
      {
        path: '/finds',
        name: 'finds',
        components: {
          default: () => import('@/stages/finds/FindsPage.vue'),
          side: () => import('@/stages/finds/FindsSide.vue'),
        },
      },
      { path: '/margin/:key(.*)*', name: 'margin', component: () => import('@/stages/margin/MarginPage.vue') },
      { path: '/sheaves', name: 'sheaves', component: () => import('@/stages/sheaves/SheavesPage.vue') },
      { path: '/launch', name: 'launch', component: () => import('@/stages/launch/LaunchPage.vue') },
      { path: '/settings', name: 'settings', component: () => import('@/stages/settings/SettingsPage.vue') },
      { path: '/:rest(.*)*', redirect: '/gather' },
    ],
  })
}
