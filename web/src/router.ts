import { createRouter, createWebHistory } from 'vue-router'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    {
      path: '/',
      name: 'fieldbook',
      component: () => import('./fieldbook/FieldbookPage.vue'),
      meta: { title: 'Fieldbook' },
    },
    {
      path: '/profiles/:id(\\d+)',
      name: 'section',
      component: () => import('./section/SectionPage.vue'),
      meta: { title: 'Section' },
    },
    {
      path: '/sites/:id(\\d+)',
      name: 'site',
      component: () => import('./fieldbook/SitePage.vue'),
      props: ({ params }) => ({ id: Number(params.id) }),
      meta: { title: 'Site' },
    },
    {
      path: '/profiles/:id(\\d+)/table',
      name: 'table',
      component: () => import('./section/TablePage.vue'),
      props: ({ params }) => ({ id: Number(params.id) }),
      meta: { title: 'Table of horizons' },
    },
    {
      path: '/profiles/:id(\\d+)/interpretation',
      name: 'interpretation',
      component: () => import('./interpretation/InterpretationPage.vue'),
      props: ({ params }) => ({ id: Number(params.id) }),
      meta: { title: 'Interpretation' },
    },
    {
      path: '/profiles/:id(\\d+)/horizons/:horizon(\\d+)',
      name: 'card',
      component: () => import('./section/CardPage.vue'),
      props: ({ params }) => ({ id: Number(params.id), horizonId: Number(params.horizon) }),
      meta: { title: 'Horizon' },
    },
    {
      path: '/companion-tests',
      name: 'companions',
      component: () => import('./companions/CompanionsPage.vue'),
      meta: { title: 'Companion tests' },
    },
    {
      path: '/companion-tests/:id(\\d+)',
      name: 'companion',
      component: () => import('./companions/SheetPage.vue'),
      props: ({ params }) => ({ id: Number(params.id) }),
      meta: { title: 'Companion test' },
    },
    { path: '/hands', name: 'hands', component: () => import('./hands/HandsPage.vue'), meta: { title: 'Hands' } },
    {
      path: '/hands/:id(\\d+)',
      name: 'hand',
      component: () => import('./hands/HandPage.vue'),
      props: ({ params }) => ({ id: Number(params.id) }),
      meta: { title: 'Hand' },
    },
    {
      path: '/reports',
      name: 'reports',
      component: () => import('./reports/ReportsPage.vue'),
      meta: { title: 'Reports' },
    },
    {
      path: '/reports/:id(\\d+)',
      name: 'report',
      component: () => import('./reports/ReportPage.vue'),
      props: ({ params }) => ({ id: Number(params.id) }),
      meta: { title: 'Report' },
    },
    {
      path: '/compare',
      name: 'compare',
      component: () => import('./compare/ComparePage.vue'),
      meta: { title: 'Side by side' },
    },
    {
      path: '/side-by-side',
      name: 'side-by-side',
      component: () => import('./beside/SideBySidePage.vue'),
      meta: { title: 'Side by side' },
    },
    {
      path: '/readings',
      name: 'readings',
      component: () => import('./palmfuls/QuickPage.vue'),
      meta: { title: 'Quick readings' },
    },
    { path: '/bin', name: 'bin', component: () => import('./bin/BinPage.vue'), meta: { title: 'Bin' } },
    {
      path: '/settings',
      name: 'settings',
      component: () => import('./settings/SettingsPage.vue'),
      meta: { title: 'Settings' },
    },
    {
      path: '/import',
      name: 'import',
      component: () => import('./exchange/ImportPage.vue'),
      meta: { title: 'Import' },
    },
    {
      path: '/readings/:id(\\d+)',
      name: 'bench',
      component: () => import('./bench/BenchPage.vue'),
      meta: { title: 'Bench' },
    },
    {
      path: '/readings/:id(\\d+)/schools',
      name: 'schools',
      component: () => import('./schools/SchoolsPage.vue'),
      props: ({ params }) => ({ id: Number(params.id) }),
      meta: { title: 'What other methods say' },
    },
    { path: '/tests', name: 'tests', component: () => import('./tests/TestsPage.vue'), meta: { title: 'Tests' } },
    {
      path: '/triangle',
      name: 'triangle',
      component: () => import('./triangle/TrianglePage.vue'),
      meta: { title: 'Triangle' },
    },
    {
      path: '/:rest(.*)*',
      name: 'nowhere',
      component: () => import('./shared/NowherePage.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
})

router.afterEach((to) => {
  document.title = `${to.meta.title as string} · Grittle`
})
