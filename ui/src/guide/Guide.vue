<script setup lang="ts">
import { nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import Brand from '@/parts/Brand.vue'
import { pageHtml, PAGES } from './pages'

/** A page of the guide beside the list of all. */
const props = defineProps<{ page: string }>()
const router = useRouter()
const route = useRoute()
const html = ref('')
const problem = ref('')
const all = useTemplateRef<HTMLElement>('all')
const version = __VERSION__

watch(
  () => props.page,
  (page) => void show(page),
  { immediate: true },
)

async function show(page: string): Promise<void> {
  const made = await pageHtml(page).catch(() => null)
  if (page !== props.page) {
    return
  }
  html.value = made ?? ''
  problem.value = made === null ? 'This page could not be fetched. See that Dobbin runs, then reload it.' : ''
  document.title = `${PAGES.find(({ name }) => name === page)?.title ?? 'Guide'} · Guide · Dobbin`
  await nextTick()
  all.value?.scrollTo(0, 0)
  if (route.hash) document.getElementById(route.hash.slice(1))?.scrollIntoView()
}

/** A link within the text leads through the router, like those of the list. */
function follow(event: MouseEvent): void {
  const to = (event.target as Element).closest('a')?.getAttribute('href')
  if (to?.startsWith('/guide') && !event.ctrlKey && !event.metaKey && !event.shiftKey) {
    event.preventDefault()
    void router.push(to)
  }
}
</script>

<template>
  <main ref="all" class="guide">
    <nav aria-label="Pages of the guide">
      <brand class="home" />
      <router-link v-for="each in PAGES" :key="each.name" :to="`/guide/${each.name}`" class="page">
        {{ each.title }}
      </router-link>
      <p class="quiet">Dobbin {{ version }}, with the work of others:</p>
      <a href="/notices/interface.txt" class="notice">The interface's libraries and fonts</a>
      <a href="/notices/typefaces.txt" class="notice">The typefaces of words in pictures</a>
      <a href="/notices/server.txt" class="notice">The server's libraries</a>
    </nav>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <!-- The text is part of the build, and nothing that anybody typed. -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <article v-else @click="follow" v-html="html" />
  </main>
</template>

<style scoped>
.guide {
  display: grid;
  grid-template-columns: 208px minmax(0, 780px);
  justify-content: center;
  gap: 40px;
  height: 100vh;
  padding: 0 24px;
  overflow-y: auto;
}

nav {
  position: sticky;
  top: 0;
  display: flex;
  flex-direction: column;
  align-self: start;
  padding: 20px 0;
}

.home {
  margin: 0 12px 16px;
}

.page {
  padding: 6px 12px;
  border-radius: var(--round);
  color: var(--ink);
  text-decoration: none;
}

.page:hover {
  background: var(--sunk);
}

.page.router-link-exact-active {
  background: var(--rein-soft);
  font-weight: 600;
}

nav p {
  margin: 20px 12px 0;
  font-size: 13px;
  line-height: 1.5;
}

.notice {
  padding: 4px 12px;
  font-size: 13px;
}

.notice,
article :deep(a[href]) {
  color: var(--rein);
}

article,
.problem {
  padding: 20px 0 60px;
  line-height: 1.6;
}

article :deep(h1) {
  margin-bottom: 12px;
  font-size: 28px;
}

article :deep(h2) {
  margin: 24px 0 8px;
  font-size: 20px;
}

article :deep(p) {
  margin: 0 0 12px;
}

article :deep(ul),
article :deep(ol) {
  margin: 0 0 12px;
  padding-left: 24px;
}

article :deep(li) {
  margin-bottom: 4px;
}

article :deep(img) {
  display: block;
  max-width: 100%;
  height: auto;
  border: 1px solid var(--line);
  border-radius: var(--round);
}

article :deep(table) {
  width: 100%;
  border-collapse: collapse;
}

article :deep(th),
article :deep(td) {
  padding: 6px 12px 6px 0;
  border-bottom: 1px solid var(--line);
  text-align: left;
  vertical-align: top;
}

article :deep(code) {
  padding: 1px 5px;
  border-radius: 4px;
  background: var(--sunk);
}

@media (max-width: 800px) {
  .guide {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
    gap: 0;
  }

  nav {
    position: static;
    flex-flow: row wrap;
    padding-bottom: 0;
  }

  .home,
  nav p {
    flex-basis: 100%;
  }

  nav p {
    margin: 8px 12px 0;
  }

  article :deep(table) {
    display: block;
    overflow-x: auto;
  }
}
</style>
