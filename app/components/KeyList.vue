<script setup lang="ts">
/** The keys of this page, in a box. */
const isOpen = defineModel<boolean>({ required: true })
const shortcuts = useShortcutSheet()
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
