import type { Component } from 'vue'
import { createRouter, createWebHistory } from 'vue-router'
import type * as Desk from './desk.ts'
import { withParts } from './later.ts'
import type { StartPage } from './useHandling.ts'
import { START_PAGES, useHandling } from './useHandling.ts'
import WalkPage from '../walk/WalkPage.vue'

function desk(page: keyof typeof Desk) {
  return async (): Promise<Component> => (await withParts(() => import('./desk.ts')))[page] as Component
}

/** Where the person who holds this device begins. */
function startsAt(): StartPage {
  const { startPage } = useHandling()
  return START_PAGES.includes(startPage.value) ? startPage.value : 'walk'
}

// The walk is the first thing anybody opens; the rest comes when it is asked for.
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: () => ({ name: startsAt() }) },
    { path: '/walk', name: 'walk', component: WalkPage },
    {
      path: '/residents',
      name: 'residents',
      component: () => withParts(() => import('../residents/ResidentsPage.vue')),
    },
    {
      path: '/residents/:id',
      name: 'record',
      component: () => withParts(() => import('../record/RecordPage.vue')),
      props: true,
    },
    { path: '/residents/new', name: 'newResident', component: desk('NewResidentPage') },
    { path: '/residents/:id/plan', name: 'plan', component: desk('PlanPage'), props: true },
    { path: '/residents/:id/out', name: 'out', component: desk('OutPage'), props: true },
    { path: '/residents/:id/move', name: 'move', component: desk('MovePage'), props: true },
    { path: '/enclosures/:id', name: 'enclosure', component: desk('EnclosurePage'), props: true },
    { path: '/enclosures/:id/door', name: 'doorCard', component: desk('DoorCardPage'), props: true },
    { path: '/library', name: 'library', component: desk('LibraryPage') },
    { path: '/library/schools', name: 'schools', component: desk('SchoolsPage') },
    { path: '/library/calculators', name: 'calculators', component: desk('CalculatorsPage') },
    { path: '/library/compare/:a/:b', name: 'compare', component: desk('ComparePage'), props: true },
    { path: '/library/:id', name: 'sheet', component: desk('SheetPage'), props: true },
    { path: '/handover', name: 'handover', component: desk('HandoverPage') },
    { path: '/walk/weighing', name: 'weighing', component: desk('WeighingPage') },
    { path: '/handover/paper', name: 'paper', component: desk('PaperPage') },
    { path: '/office', name: 'office', redirect: { name: 'places' } },
    { path: '/office/places', name: 'places', component: desk('PlacesPage') },
    {
      path: '/office/places/:id',
      name: 'bay',
      component: desk('BayPage'),
      props: ({ params }) => ({ ...params, key: params['id'] }),
    },
    { path: '/office/house', name: 'house', component: desk('HousePage') },
    { path: '/office/bring-in', name: 'bringIn', component: desk('BringInPage') },
    { path: '/office/audit', name: 'audit', component: desk('AuditPage') },
    { path: '/office/backup', name: 'backup', component: desk('BackupPage') },
    { path: '/office/people', name: 'people', component: desk('PeoplePage') },
    { path: '/:rest(.*)*', redirect: { name: 'walk' } },
  ],
})
