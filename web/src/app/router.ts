import { createRouter, createWebHistory, type Router, type RouteRecordRaw } from 'vue-router'

/** A left pane with the Trail and nothing else. */
const NoSide = { render: () => null }

const rivals: RouteRecordRaw[] = [
  {
    path: '/rivals',
    name: 'rivals',
    components: {
      default: () => import('@/stages/rivals/RivalsPage.vue'),
      side: () => import('@/stages/rivals/RivalsSide.vue'),
    },
  },
  {
    path: '/rivals/store',
    name: 'store',
    components: { default: () => import('@/stages/rivals/StorePage.vue'), side: NoSide },
  },
  {
    path: '/rivals/pool',
    name: 'pool',
    components: { default: () => import('@/stages/rivals/PoolPage.vue'), side: NoSide },
  },
  {
    path: '/rivals/alike',
    name: 'alike',
    components: { default: () => import('@/stages/rivals/AlikePage.vue'), side: NoSide },
  },
  {
    path: '/rivals/creators',
    name: 'creators',
    components: { default: () => import('@/stages/rivals/CreatorsPage.vue'), side: NoSide },
  },
]

/** Every stage is loaded when it is first opened; its left pane comes with it. */
export function createAppRouter(history = createWebHistory()): Router {
  return createRouter({
    history,
    routes: [
      { path: '/', redirect: '/today' },
      { path: '/today', name: 'today', component: () => import('@/stages/today/TodayPage.vue') },
      { path: '/gather', name: 'gather', component: () => import('@/stages/gather/GatherPage.vue') },
      {
        path: '/demand',
        name: 'demand',
        components: { default: () => import('@/stages/demand/DemandPage.vue'), side: NoSide },
      },
      {
        path: '/finds/posted',
        name: 'posted',
        components: { default: () => import('@/stages/finds/PostedPage.vue'), side: NoSide },
      },
      {
        path: '/finds/ads',
        name: 'ads',
        components: { default: () => import('@/stages/finds/AdsPage.vue'), side: NoSide },
      },
      {
        path: '/finds/item/:key(.*)*',
        name: 'look',
        components: { default: () => import('@/stages/finds/LookPage.vue'), side: NoSide },
      },
      {
        path: '/finds',
        name: 'finds',
        components: {
          default: () => import('@/stages/finds/FindsPage.vue'),
          side: () => import('@/stages/finds/FindsSide.vue'),
        },
      },
      ...rivals,
      { path: '/supply/supplier', name: 'supplier', component: () => import('@/stages/supply/SupplierPage.vue') },
      { path: '/supply/designs', name: 'designs', component: () => import('@/stages/supply/DesignsPage.vue') },
      { path: '/supply/quotes', name: 'quotes', component: () => import('@/stages/supply/QuotesPage.vue') },
      { path: '/supply/:key(.*)*', name: 'supply', component: () => import('@/stages/supply/SupplyPage.vue') },
      { path: '/margin/:key(.*)*', name: 'margin', component: () => import('@/stages/margin/MarginPage.vue') },
      { path: '/sheaves', name: 'sheaves', component: () => import('@/stages/sheaves/SheavesPage.vue') },
      {
        path: '/sheaves/what-if',
        name: 'what-if',
        component: () => import('@/stages/sheaves/WhatIfPage.vue'),
      },
      { path: '/clearing', name: 'clearing', component: () => import('@/stages/clearing/ClearingPage.vue') },
      { path: '/launch', name: 'launch', component: () => import('@/stages/launch/LaunchPage.vue') },
      { path: '/settings', name: 'settings', component: () => import('@/stages/settings/SettingsPage.vue') },
      { path: '/:rest(.*)*', redirect: '/gather' },
    ],
  })
}
