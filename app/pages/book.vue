<script setup lang="ts">
import { EDITIONS, EDITION_NAME, PRESENT_EDITION, type Edition } from '#core/regulations/editions'
import type { BookView } from '#schemas/book-views'

/** The centre's own copy of the regulations: each shipped value checked against it. */
definePageMeta({ roles: ['administrator', 'instructor', 'assessor'] })
const PARTS = [
  ['walk', 'Check your book'],
  ['values', 'Your own values'],
  ['compare', 'Compare editions'],
] as const
const route = useRoute()
const part = ref<(typeof PARTS)[number][0]>(PARTS.find(([key]) => key === route.query.part)?.[0] ?? 'walk')
/** Until one is chosen it is the one to which most exercises are set. */
const chosen = ref<Edition | null>(EDITIONS.find((one) => one === route.query.edition) ?? null)
const {
  data: view,
  problem,
  refresh,
} = useServer<BookView>(() => (chosen.value === null ? 'book' : `book?edition=${chosen.value}`))
const edition = computed<Edition>({
  get: () => chosen.value ?? view.value?.edition ?? PRESENT_EDITION,
  set: (one) => (chosen.value = one),
})
const inForce = useBookInForce()
/** What an act answers is what holds now; designs elsewhere take the new values at once. */
function adopt(next: BookView) {
  if (next.edition === edition.value) view.value = next
  else void refresh()
  void inForce.refresh()
}
const waiting = computed(() => view.value?.values.filter(({ checkedBy }) => checkedBy === null).length ?? 0)
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Your copy of BS 7671</h1>
        <p class="soft">
          The values here are from memory. Check them against your copy; where they differ, your copy is
          right.
        </p>
      </div>
      <el-select v-model="edition" class="edition" aria-label="Edition" data-testid="book-edition">
        <el-option v-for="one in EDITIONS" :key="one" :value="one" :label="EDITION_NAME[one]" />
      </el-select>
    </div>
    <PartTabs v-model="part" :parts="PARTS" label="Parts of the book">
      <span v-if="waiting" class="tag waiting">{{ waiting }} to be checked by a second person</span>
    </PartTabs>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!view" class="skeleton" style="height: 320px" />
    <BookWalk v-else-if="part === 'walk'" :view="view" :edition="edition" @view="adopt" />
    <BookValues v-else-if="part === 'values'" :view="view" :edition="edition" @view="adopt" />
    <BookCompare v-else :key="edition" :edition="edition" />
  </div>
</template>

<style scoped>
.edition {
  width: 280px;
}
</style>
