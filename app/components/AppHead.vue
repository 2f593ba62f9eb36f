<script setup lang="ts">
import { Moon, Sun } from '@lucide/vue'
import { PLACES } from '~/texts/places'

const session = useSession()
const { signOut } = useSignOut()
const { isDark, toggle } = useTheme()

const route = useRoute()
const isHere = (to: string) => route.path === to || route.path.startsWith(`${to}/`)
const places = computed(() =>
  PLACES.filter((place) => session.person && place.roles.includes(session.person.role)),
)
</script>

<template>
  <header class="app-head">
    <NuxtLink class="mark" to="/"><NakshiMark /> Nakshi</NuxtLink>
    <nav aria-label="Main">
      <NuxtLink
        v-for="place in places"
        :key="place.to"
        :to="place.to"
        prefetch-on="interaction"
        :class="{ here: isHere(place.to) }"
        :aria-current="isHere(place.to) ? 'page' : undefined"
        >{{ place.name }}</NuxtLink
      >
    </nav>
    <div class="who">
      <OutboxList />
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
  font-weight: 750;
  font-size: 20px;
  display: flex;
  gap: 10px;
  align-items: center;
  color: inherit;
  text-decoration: none;
}
nav {
  display: flex;
  gap: 4px;
  font-size: 15.5px;
  align-self: stretch;
  flex-wrap: wrap;
}
nav a {
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
nav a:hover {
  text-decoration: underline;
}
nav a.here {
  border-bottom-color: #e0a93b;
  font-weight: 680;
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
  nav {
    gap: 1px;
  }
  nav a {
    padding: 0 6px;
    font-size: 15px;
  }
  .role {
    display: none;
  }
  .plain-button {
    padding: 0 7px;
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
