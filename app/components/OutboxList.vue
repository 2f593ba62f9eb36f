<script setup lang="ts">
import { CloudUpload } from '@lucide/vue'

/** What was typed on this device and the server does not have yet: what, whose, since when, and why. */
const outbox = useOutbox()
const session = useSession()
// A draft on its own page says there that it is not saved.
const listed = computed(() => outbox.waiting.filter(({ isHere, about }) => !(isHere && !about.delivery)))
const count = computed(() => listed.value.length)
const isMine = (id: number) => id === session.person?.id

async function discard(key: string, what: string) {
  const text = `What was typed in this ${what.toLowerCase()} and not saved is thrown away on this device.`
  if (await isSure(text, 'Throw it away?', { yes: 'Throw away', no: 'Keep it', isGrave: true }))
    await outbox.discard(key)
}
</script>

<template>
  <el-popover v-if="count > 0" trigger="click" :width="380" placement="bottom-end">
    <template #reference>
      <button type="button" class="waiting" data-testid="outbox">
        <CloudUpload :size="18" aria-hidden="true" /> {{ count }} waiting
      </button>
    </template>
    <h2 class="title">Typed here, not saved yet</h2>
    <ul>
      <li v-for="entry in listed" :key="entry.key" :data-testid="`waiting-${entry.key}`">
        <div>
          <NuxtLink v-if="isMine(entry.about.person.id)" :to="entry.about.page">{{
            entry.about.what
          }}</NuxtLink>
          <b v-else>{{ entry.about.what }}</b>
          <span class="soft">
            · {{ entry.about.person.name }} · {{ entry.boxes }}
            {{ entry.boxes === 1 ? 'box' : 'boxes' }} since {{ dayTime(entry.since) }}</span
          >
          <p class="soft small">
            {{
              entry.reason ??
              (isMine(entry.about.person.id)
                ? 'Is sent as soon as the server can be reached.'
                : 'Is sent when they sign in on this device.')
            }}
          </p>
        </div>
        <el-button
          v-if="isMine(entry.about.person.id) && entry.reason"
          size="small"
          text
          @click="discard(entry.key, entry.about.what)"
          >Throw away</el-button
        >
      </li>
    </ul>
  </el-popover>
</template>

<style scoped>
.waiting {
  all: unset;
  cursor: pointer;
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  padding: 0 10px;
  font-size: 14px;
  font-weight: var(--heavy);
  white-space: nowrap;
  z-index: 1;
}
.waiting:focus-visible {
  outline: 2.5px solid #e0a93b;
  outline-offset: -3px;
}
.title {
  font-size: 16px;
  margin: 0 0 8px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 8px 0;
  border-top: 1px dashed var(--hem);
}
li p {
  margin: 2px 0 0;
}
</style>
