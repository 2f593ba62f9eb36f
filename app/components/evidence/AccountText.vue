<script setup lang="ts">
import { EditorContent, useEditor } from '@tiptap/vue-3'
import StarterKit from '@tiptap/starter-kit'
import { claimedPassages } from '~/utils/claimed-passages'

/** The text of an account: written, or read; claimed passages are underlaid. */
const text = defineModel<string>({ required: true })
const { quotes, isReadOnly = false } = defineProps<{ quotes: readonly string[]; isReadOnly?: boolean }>()
const emit = defineEmits<{ select: [quote: string] }>()

const read = (stored: string): object | string => {
  try {
    return JSON.parse(stored) as object
  } catch {
    return stored
  }
}
/** What the editor itself wrote last, so that it is not laid over what is being typed. */
let own = text.value
const editor = useEditor({
  content: read(text.value),
  editable: !isReadOnly,
  extensions: [
    StarterKit.configure({ link: false, codeBlock: false, code: false }),
    claimedPassages(() => quotes),
  ],
  editorProps: { attributes: { 'aria-label': 'Account', role: 'textbox', 'aria-multiline': 'true' } },
  onUpdate: ({ editor: now }) => {
    own = JSON.stringify(now.getJSON())
    text.value = own
  },
  onSelectionUpdate: ({ editor: now }) => {
    const { from, to } = now.state.selection
    emit('select', now.state.doc.textBetween(from, to, ' ').trim())
  },
})
watch(text, (next) => {
  if (next !== own) editor.value?.commands.setContent(read(next), { emitUpdate: false })
  own = next
})
watch(
  () => [quotes, isReadOnly] as const,
  ([, locked]) => {
    editor.value?.setEditable(!locked, false)
    // Laid out anew, so that passages are marked.
    editor.value?.view.dispatch(editor.value.state.tr)
  },
)
const TOOLS = [
  { name: 'Bold', run: () => editor.value?.chain().focus().toggleBold().run(), is: 'bold' },
  {
    name: 'Heading',
    run: () => editor.value?.chain().focus().toggleHeading({ level: 3 }).run(),
    is: 'heading',
  },
  { name: 'List', run: () => editor.value?.chain().focus().toggleBulletList().run(), is: 'bulletList' },
  { name: 'Numbers', run: () => editor.value?.chain().focus().toggleOrderedList().run(), is: 'orderedList' },
  { name: 'Undo', run: () => editor.value?.chain().focus().undo().run(), is: '' },
] as const
</script>

<template>
  <div class="account" :class="{ locked: isReadOnly }">
    <div v-if="!isReadOnly" class="tools" role="toolbar" aria-label="Text">
      <button
        v-for="tool in TOOLS"
        :key="tool.name"
        type="button"
        class="text-button"
        :aria-pressed="tool.is !== '' && editor?.isActive(tool.is)"
        @mousedown.prevent
        @click="tool.run()"
      >
        {{ tool.name }}
      </button>
    </div>
    <EditorContent :editor="editor" class="text" />
  </div>
</template>

<style scoped>
.account {
  background: var(--raised);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
}
.tools {
  display: flex;
  gap: 4px;
  border-bottom: 1px solid var(--hem);
  padding: 4px 8px;
}
.tools [aria-pressed='true'] {
  background: var(--indigo-wash);
}
.text :deep(.ProseMirror) {
  min-height: 340px;
  padding: 16px 20px;
  outline-offset: -3px;
  font-size: 16px;
  line-height: 1.6;
}
.locked .text :deep(.ProseMirror) {
  min-height: 120px;
}
.text :deep(p) {
  margin: 0 0 10px;
}
.text :deep(.claimed) {
  background: var(--turmeric-wash);
  border-bottom: 2px solid var(--turmeric);
}
</style>
