<script setup lang="ts">
import { computed } from 'vue'
import { provideProof } from './context'
import type { ProofContext } from './context'
import ArticlePage from './pages/ArticlePage.vue'
import DashboardPage from './pages/DashboardPage.vue'
import FormPage from './pages/FormPage.vue'
import HomePage from './pages/HomePage.vue'
import MailPage from './pages/MailPage.vue'
import ShopPage from './pages/ShopPage.vue'
import StylePage from './pages/StylePage.vue'

/** One of the sample pages. Its root has the variables of `rootVariables`. */
const props = defineProps<{ context: ProofContext }>()
const PAGES = {
  home: HomePage,
  article: ArticlePage,
  shop: ShopPage,
  dashboard: DashboardPage,
  form: FormPage,
  mail: MailPage,
  style: StylePage,
} as const
const component = computed(() => PAGES[props.context.page as keyof typeof PAGES])
provideProof(() => props.context)
</script>

<template>
  <component :is="component" />
</template>
