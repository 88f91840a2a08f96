import { createRouter, createWebHistory } from 'vue-router';

/**
 * The workspaces of a site, in the order of the work. What is not built is not here, and so not in the bar.
 */
export const workspaces = [
  { name: 'pages', label: 'Pages' },
  { name: 'drift', label: 'Drift' },
  { name: 'arrange', label: 'Arrange' },
  { name: 'frame', label: 'Frame' },
  { name: 'style', label: 'Style' },
  { name: 'fit', label: 'Fit' },
  { name: 'editions', label: 'Editions' },
] as const;

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'home', component: () => import('./views/HomeView.vue') },
    { path: '/sites', name: 'sites', component: () => import('./views/SitesView.vue') },
    { path: '/design', name: 'design', component: () => import('./views/DesignView.vue') },
    { path: '/:siteKey', redirect: ({ params }) => ({ name: 'arrange', params }) },
    { path: '/:siteKey/pages', name: 'pages', component: () => import('./views/PagesView.vue') },
    { path: '/:siteKey/drift/:menuKey?', name: 'drift', component: () => import('./views/DriftView.vue') },
    {
      path: '/:siteKey/arrange/:menuKey?',
      name: 'arrange',
      component: () => import('./views/ArrangeView.vue'),
    },
    { path: '/:siteKey/frame', name: 'frame', component: () => import('./views/FrameView.vue') },
    { path: '/:siteKey/style', name: 'style', component: () => import('./views/StyleView.vue') },
    { path: '/:siteKey/fit', name: 'fit', component: () => import('./views/FitView.vue') },
    { path: '/:siteKey/editions', name: 'editions', component: () => import('./views/EditionsView.vue') },
    { path: '/:rest(.*)*', redirect: { name: 'home' } },
  ],
});
