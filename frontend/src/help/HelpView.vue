<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import AppMark from '@/head/AppMark.vue'
import ViewMenu from '@/head/ViewMenu.vue'
import ChoiceList from '@/ui/ChoiceList.vue'
import { countOf } from '@/ui/format'
import { HelpText } from './HelpText'
import { pages, search } from './guide'

/** The guide, and what goes deeper: shipped with Tonada, searchable. */
const route = useRoute()
const router = useRouter()
const wanted = ref('')
const article = useTemplateRef<HTMLElement>('article')

const page = computed(() => pages.find((one) => one.slug === route.params.page) ?? pages[0])
const found = computed(() => search(wanted.value))
const PARTS = [
  { title: 'Guide', pages: pages.filter((one) => one.isGuide) },
  { title: 'In depth', pages: pages.filter((one) => !one.isGuide) },
]
const options = pages.map((one) => ({ value: one.slug, label: one.title }))

watch(
  () => route.fullPath,
  async () => {
    await nextTick()
    const target = route.hash && document.getElementById(decodeURIComponent(route.hash.slice(1)))
    if (target) target.scrollIntoView()
    else article.value?.scrollTo(0, 0)
  },
  { immediate: true },
)
function open(slug: string) {
  void router.push({ name: 'help', params: { page: slug } })
}
</script>

<template>
  <div class="flex h-dvh min-h-120 flex-col max-[900px]:h-auto">
    <header
      class="flex min-h-11.5 items-center gap-5 border-b border-ink bg-sheet px-4 max-[600px]:flex-wrap max-[600px]:py-2"
    >
      <AppMark />
      <h1 class="text-[14px]">Help</h1>
      <div class="ml-auto"><ViewMenu /></div>
    </header>
    <div class="grid min-h-0 flex-1 grid-cols-[280px_minmax(0,1fr)] max-[900px]:grid-cols-1">
      <aside
        aria-label="Pages"
        class="flex min-h-0 flex-col gap-3 border-r border-hair p-4 max-[900px]:border-r-0 max-[900px]:pb-0"
      >
        <label class="block">
          <span class="sr-only">Search the help</span>
          <input
            v-model="wanted"
            type="search"
            class="field w-full"
            placeholder="Search the help"
            autocomplete="off"
          />
        </label>
        <ChoiceList
          v-if="page"
          class="min-[901px]:hidden"
          label="Page"
          align="left"
          :model-value="page.slug"
          :options="options"
          @update:model-value="open"
        />
        <section v-if="wanted.trim()" class="min-h-0 overflow-y-auto" aria-label="Found">
          <p class="text-quiet" role="status">
            {{ found.length ? countOf(found.length, 'section', 'sections') : 'Nothing found' }}
          </p>
          <ul class="rule-list mt-1" data-testid="found-help">
            <li v-for="one in found" :key="one.page.slug + one.heading" class="py-1">
              <RouterLink
                :to="{
                  name: 'help',
                  params: { page: one.page.slug },
                  hash: one.anchor && `#${one.anchor}`,
                }"
                class="block hover:underline"
                ><b class="block font-semibold">{{ one.heading }}</b
                ><span v-if="one.anchor" class="text-quiet">{{ one.page.title }}</span></RouterLink
              >
            </li>
          </ul>
        </section>
        <nav v-else class="min-h-0 overflow-y-auto max-[900px]:hidden" aria-label="Help">
          <template v-for="part in PARTS" :key="part.title">
            <h2 class="mt-3 text-quiet first:mt-0">{{ part.title }}</h2>
            <ul>
              <li v-for="one in part.pages" :key="one.slug">
                <RouterLink
                  :to="{ name: 'help', params: { page: one.slug } }"
                  class="block border-l-4 border-transparent px-2 py-1 hover:underline"
                  :class="page === one && 'border-ink! font-semibold'"
                  :aria-current="page === one ? 'page' : undefined"
                  >{{ one.title }}</RouterLink
                >
              </li>
            </ul>
          </template>
        </nav>
      </aside>
      <main ref="article" class="min-h-0 overflow-y-auto bg-sheet" tabindex="0">
        <article v-if="page" class="help mx-auto max-w-180 px-6 py-6" data-testid="help">
          <HelpText :page="page" />
        </article>
      </main>
    </div>
  </div>
</template>

<style>
.help {
  font-size: 15px;
  line-height: 1.55;
}
.help :is(h2, h3, h4) {
  margin: 1.6em 0 0.4em;
  font-size: 17px;
  line-height: 1.25;
  scroll-margin-top: 1em;
}
.help h2 {
  margin-top: 0;
  font-size: 26px;
}
.help :is(p, ul, ol, pre, .overflow-x-auto) {
  margin: 0.7em 0;
}
.help :is(ul, ol) {
  padding-left: 1.3em;
}
.help ul {
  list-style: square;
}
.help ol {
  list-style: decimal;
}
.help li {
  margin: 0.25em 0;
}
.help a {
  text-decoration: underline;
  text-underline-offset: 2px;
}
.help :is(code, pre) {
  font-family: var(--font-mono, monospace);
  font-size: 13px;
  overflow-wrap: anywhere;
}
.help pre {
  overflow-x: auto;
  border: 1px solid var(--hair);
  padding: 0.7em 0.9em;
  overflow-wrap: normal;
}
.help img {
  width: 100%;
  height: auto;
  border: 1px solid var(--ink);
}
.help table {
  width: 100%;
  border-top: 1px solid var(--ink);
  font-size: 14px;
  line-height: 1.4;
}
.help :is(th, td) {
  border-bottom: 1px solid var(--hair);
  padding: 0.35em 0.8em 0.35em 0;
  text-align: left;
  vertical-align: top;
}
.help th.text-right,
.help td.text-right {
  text-align: right;
}
</style>
