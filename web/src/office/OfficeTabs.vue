<script setup lang="ts">
import type { Route } from '@kobrin/contract'
import { may } from '@kobrin/contract'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import PageTabs from '../app/PageTabs.vue'
import { usePeople } from '../people/usePeople.ts'
import { t } from './words.ts'

type Access = Exclude<Route['access'], 'anyone' | 'signedIn'>
const PAGES: readonly { name: string; label: string; access: Access }[] = [
  { name: 'places', label: t('places'), access: 'editPlaces' },
  { name: 'house', label: t('house'), access: 'editPlaces' },
  { name: 'people', label: t('people'), access: 'editPeople' },
  { name: 'bringIn', label: t('bringIn'), access: 'bringIn' },
  { name: 'audit', label: t('audit'), access: 'editPlaces' },
  { name: 'backup', label: t('backup'), access: 'editPlaces' },
]
const people = usePeople()
const route = useRoute()
const pages = computed(() => PAGES.filter(({ access }) => may(people.role, access)))
const here = computed(() => (route.name === 'bay' ? 'places' : String(route.name)))
</script>

<template>
  <PageTabs :label="t('office')" :pages="pages" :here="here" />
</template>
