<script setup lang="ts">
/** The head of something that is tried: back to practice, its title, what it is about, where else to go. */
defineProps<{ title: string; about: string; back: string }>()
</script>

<template>
  <header class="head">
    <NuxtLink to="/practice" class="back" :aria-label="back">‹</NuxtLink>
    <div>
      <h1>{{ title }}</h1>
      <p class="about"><TermText :text="about" /></p>
    </div>
    <slot />
  </header>
</template>

<style scoped>
.head {
  display: flex;
  gap: 14px;
  align-items: flex-start;
  flex-wrap: wrap;
  margin-bottom: 18px;
}
.head > div {
  flex: 1 1 230px;
}
.back {
  font-size: 32px;
  line-height: 1;
  text-decoration: none;
  padding: 0 10px;
}
.about {
  max-width: 75ch;
  margin: 4px 0 0;
}
</style>
