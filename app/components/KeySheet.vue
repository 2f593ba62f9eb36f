<script setup lang="ts">
import { tinykeys } from 'tinykeys'

const shortcuts = useShortcutSheet()
const isOpen = ref(false)

onMounted(() => {
  const stop = tinykeys(window, {
    'Shift+?': (event) => {
      if (event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA'].includes(event.target.tagName)) return
      isOpen.value = !isOpen.value
    },
  })
  onBeforeUnmount(stop)
})
</script>

<template>
  <el-dialog v-model="isOpen" title="Keys on this page" width="460px">
    <p v-if="shortcuts.length === 0" class="soft">
      This page has no keys of its own. Tab moves on, Enter acts.
    </p>
    <dl v-else>
      <div v-for="shortcut in shortcuts" :key="shortcut.keys">
        <dt>
          <kbd>{{ shortcut.label }}</kbd>
        </dt>
        <dd>{{ shortcut.name }}</dd>
      </div>
    </dl>
  </el-dialog>
</template>

<style scoped>
dl {
  margin: 0;
}
dl > div {
  display: flex;
  gap: 16px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hem);
}
dt {
  width: 90px;
}
dd {
  margin: 0;
}
</style>
