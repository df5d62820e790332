import { createRouter, createWebHistory } from 'vue-router'

/** A view has an address: brand, take, step in the path, what is selected in the query. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    {
      path: '/',
      name: 'brands',
      component: () => import('@/brands/BrandsView.vue'),
      meta: { title: 'Brands' },
    },
    {
      path: '/brands/:brandId/takes/:takeId',
      component: () => import('@/frame/TakeFrame.vue'),
      props: true,
      redirect: { name: 'source' },
      children: [
        {
          path: 'source',
          name: 'source',
          component: () => import('@/source/SourceView.vue'),
          meta: { title: 'Source' },
        },
        {
          path: 'source/ready-made',
          name: 'ready-made',
          component: () => import('@/ready/ReadyView.vue'),
          meta: { title: 'Ready-made palettes' },
        },
        {
          path: 'harmony',
          name: 'harmony',
          component: () => import('@/harmony/HarmonyView.vue'),
          meta: { title: 'Harmony' },
        },
        {
          path: 'roles',
          name: 'roles',
          component: () => import('@/roles/RolesView.vue'),
          meta: { title: 'Roles' },
        },
        {
          path: 'versions/:number(\\d+)?',
          name: 'versions',
          component: () => import('@/versions/VersionsView.vue'),
          meta: { title: 'Versions' },
        },
        {
          path: 'compare',
          name: 'compare',
          component: () => import('@/versions/CompareView.vue'),
          meta: { title: 'Compare' },
        },
        {
          path: 'pairs',
          name: 'pairs',
          component: () => import('@/pairs/PairsView.vue'),
          meta: { title: 'Pairs' },
        },
        {
          path: 'proof/:page?',
          name: 'proof',
          component: () => import('@/proof/ProofView.vue'),
          meta: { title: 'Proof' },
        },
        {
          path: 'handoff/:part?',
          name: 'handoff',
          component: () => import('@/handoff/HandoffView.vue'),
          meta: { title: 'Handoff' },
        },
      ],
    },
    {
      path: '/brands/:brandId/reviews/:reviewId?',
      name: 'reviews',
      component: () => import('@/review/designer/ReviewsView.vue'),
      props: true,
      meta: { title: 'Reviews' },
    },
    {
      path: '/mails/:mailId?',
      name: 'mails',
      component: () => import('@/studio/MailsView.vue'),
      meta: { title: 'Emails' },
    },
    {
      path: '/help/:page?',
      name: 'help',
      component: () => import('@/help/HelpView.vue'),
      meta: { title: 'Help' },
    },
    {
      path: '/:anything(.*)*',
      name: 'nowhere',
      component: () => import('@/frame/NowhereView.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
})

declare module 'vue-router' {
  interface RouteMeta {
    title?: string
  }
}
