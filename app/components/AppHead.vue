<script setup lang="ts">
import { Moon, Sun } from '@lucide/vue'
import { useMediaQuery } from '@vueuse/core'
import { AREAS } from '~/texts/places'

const session = useSession()
const outbox = useOutbox()
const { signOut } = useSignOut()
const { isDark, toggle } = useTheme()

const { countAt } = useWaiting()
const route = useRoute()
const isHere = (to: string) => route.path === to || route.path.startsWith(`${to}/`)
/** An apprentice has few places: each stands by itself. Staff have areas, with their places below. */
const isApprentice = computed(() => session.person?.role === 'apprentice')
const areas = computed(() =>
  AREAS.map(({ name, places }) => ({
    name,
    places: places.filter(({ roles }) => session.person && roles.includes(session.person.role)),
  }))
    .filter(({ places }) => places.length > 0)
    .flatMap((area) =>
      isApprentice.value ? area.places.map((place) => ({ name: place.name, places: [place] })) : [area],
    ),
)
const current = computed(() => areas.value.find(({ places }) => places.some(({ to }) => isHere(to))))
/** What waits inside an area is seen from outside. */
const countIn = ({ places }: { places: readonly { to: string }[] }) =>
  places.reduce((sum, { to }) => sum + countAt(to), 0)
/** An area of one place is that place. */
const nameOf = ({ name, places }: { name: string; places: readonly { name: string }[] }) =>
  places.length === 1 ? places[0]!.name : name

/** Where the areas stand in one line that may be too long, the present one is brought into it. */
const main = useTemplateRef('main')
const isInOneLine = useMediaQuery('(max-width: 840px)')
const showHere = () => {
  // Asking where something stands lays the whole page out.
  if (isInOneLine.value)
    main.value?.querySelector('.here')?.scrollIntoView({ inline: 'center', block: 'nearest' })
}
onMounted(showHere)
// Not needed to begin with, yet there when the network is gone.
fetchWhenIdle([
  () => preloadComponents('OutboxList'),
  () => preloadComponents('TermBox'),
  () => preloadComponents('GoToBox'),
  () => preloadComponents('KeyList'),
  () => import('~/utils/sure-box'),
])
watch(current, () => nextTick(showHere))
</script>

<template>
  <header class="app-head">
    <NuxtLink class="mark" to="/"><NakshiMark /><span class="wordmark">Nakshi</span></NuxtLink>
    <nav ref="main" aria-label="Main">
      <NuxtLink
        v-for="area in areas"
        :key="area.name"
        :to="area.places[0]!.to"
        prefetch-on="interaction"
        :class="{ here: area === current }"
        :aria-current="area === current ? 'true' : undefined"
        >{{ nameOf(area)
        }}<span v-if="countIn(area)" class="count" :aria-label="`${countIn(area)} waiting`">{{
          countIn(area)
        }}</span></NuxtLink
      >
    </nav>
    <div class="who">
      <LazyOutboxList v-if="outbox.waiting.length > 0" />
      <span class="name"
        >{{ session.person?.name }}<span class="role"> · {{ session.person?.role }}</span></span
      >
      <button
        type="button"
        class="plain-button icon"
        :aria-label="isDark ? 'Day cloth' : 'Dark theme'"
        :title="isDark ? 'Day cloth' : 'Dark theme'"
        @click="toggle()"
      >
        <component :is="isDark ? Sun : Moon" :size="19" />
      </button>
      <NuxtLink class="plain-button" to="/password">Password</NuxtLink>
      <button type="button" class="plain-button" @click="signOut">Sign out</button>
    </div>
  </header>
  <nav v-if="current && current.places.length > 1" class="within screen-only" :aria-label="current.name">
    <NuxtLink
      v-for="place in current.places"
      :key="place.to"
      :to="place.to"
      prefetch-on="interaction"
      :class="{ here: isHere(place.to) }"
      :aria-current="isHere(place.to) ? 'page' : undefined"
      >{{ place.name
      }}<span v-if="countAt(place.to)" class="count" :aria-label="`${countAt(place.to)} waiting`">{{
        countAt(place.to)
      }}</span></NuxtLink
    >
  </nav>
</template>

<style scoped>
.app-head {
  min-height: 60px;
  display: flex;
  align-items: center;
  gap: 30px;
  padding: 0 24px 4px;
  background: var(--head);
  color: var(--head-text);
  position: relative;
  flex-wrap: wrap;
}
.app-head::after {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  bottom: 5px;
  border-bottom: 2px dashed var(--head-stitch);
  opacity: 0.75;
}
.mark {
  font-weight: var(--heavy);
  font-size: 20px;
  display: flex;
  gap: 10px;
  align-items: center;
  color: inherit;
  text-decoration: none;
}
header nav {
  display: flex;
  gap: 4px;
  font-size: 15.5px;
  align-self: stretch;
  flex-wrap: wrap;
}
header nav a {
  color: inherit;
  text-decoration: none;
  display: flex;
  align-items: center;
  padding: 0 11px;
  border-bottom: 4px solid transparent;
  border-top: 4px solid transparent;
  z-index: 1;
  min-height: 48px;
}
header nav a:hover {
  text-decoration: underline;
}
header nav a.here {
  border-bottom-color: #e0a93b;
  font-weight: var(--heavy);
}
.count {
  margin-left: 6px;
  min-width: 20px;
  padding: 0 5px;
  border-radius: 10px;
  background: #e0a93b;
  color: #1f2430;
  font: var(--heavy) 13px/20px var(--mono);
  text-align: center;
}
.within {
  display: flex;
  gap: 4px;
  padding: 0 24px;
  background: var(--panel);
  border-bottom: 1px solid var(--hem);
  flex-wrap: wrap;
}
.within a {
  color: var(--ink);
  text-decoration: none;
  padding: 0 10px;
  min-height: 38px;
  display: flex;
  align-items: center;
  border-bottom: 3px solid transparent;
  font-size: 15px;
}
.within a:hover {
  text-decoration: underline;
}
.within a.here {
  border-bottom-color: var(--turmeric);
  color: var(--indigo-text);
  font-weight: var(--heavy);
}
.who {
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 14px;
}
.name {
  margin-right: 4px;
  white-space: nowrap;
}
@media (max-width: 1500px) {
  .app-head {
    gap: 16px;
  }
  header nav {
    gap: 1px;
  }
  header nav a {
    padding: 0 10px;
    font-size: 15px;
  }
  .role {
    display: none;
  }
  .plain-button {
    padding: 0 7px;
  }
}
/* No wall of tabs: who is signed in beside the mark, the areas in one line below. */
@media (max-width: 840px) {
  .app-head {
    padding: 0 14px 4px;
    gap: 0 16px;
  }
  header nav {
    order: 3;
    flex: 0 0 100%;
    flex-wrap: nowrap;
    overflow-x: auto;
    scrollbar-width: none;
    white-space: nowrap;
  }
  .within {
    padding: 0 14px;
    flex-wrap: nowrap;
    overflow-x: auto;
    scrollbar-width: none;
    white-space: nowrap;
  }
}
@media (max-width: 560px) {
  .wordmark {
    display: none;
  }
  .who {
    gap: 2px;
    min-width: 0;
  }
  .name {
    overflow: hidden;
    text-overflow: ellipsis;
    max-width: 130px;
  }
}
.plain-button {
  all: unset;
  cursor: pointer;
  color: inherit;
  font-size: 14px;
  padding: 0 10px;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  border-radius: var(--ease);
  z-index: 1;
}
.plain-button:hover {
  text-decoration: underline;
}
:focus-visible {
  outline: 2.5px solid #e0a93b !important;
  outline-offset: -3px;
}
</style>
