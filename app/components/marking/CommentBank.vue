<script setup lang="ts">
import type { StepKey } from '#core/design/model/step-keys'
import { STEP_TEXT } from '#words/steps'
import type { Comment } from '#schemas/marking-views'

/** Sentences from earlier feedback; those about the step in hand first, then the most used. */
const props = defineProps<{ comments: readonly Comment[]; step: StepKey | undefined }>()
const emit = defineEmits<{ take: [text: string] }>()
const text = ref('')
const MOST = 8
const shown = computed(() => {
  const words = text.value.toLowerCase().split(/\s+/).filter(Boolean)
  const isOfStep = (comment: Comment) => Number(comment.step === props.step)
  return props.comments
    .filter((comment) => words.every((word) => comment.text.toLowerCase().includes(word)))
    .sort((a, b) => isOfStep(b) - isOfStep(a) || b.uses - a.uses)
    .slice(0, MOST)
})
</script>

<template>
  <div class="bank">
    <el-input
      v-if="comments.length > MOST"
      v-model="text"
      size="small"
      placeholder="Find a sentence"
      aria-label="Find a sentence"
      name="comment-search"
    />
    <p v-if="comments.length === 0" class="small soft">
      Sentences that you add to feedback are kept here when you decide, and offered the next time.
    </p>
    <ol>
      <li v-for="(comment, i) in shown" :key="comment.id">
        <button
          type="button"
          :title="
            comment.step ? `first written about ${STEP_TEXT[comment.step].name.toLowerCase()}` : undefined
          "
          @click="emit('take', comment.text)"
        >
          <kbd>{{ i + 1 }}</kbd> {{ comment.text }} <span class="soft">×{{ comment.uses }}</span>
        </button>
      </li>
    </ol>
  </div>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
button {
  all: unset;
  cursor: pointer;
  display: block;
  padding: 5px 6px;
  font-size: 13.5px;
  line-height: 1.3;
  border-bottom: 1px solid var(--hem);
  width: 100%;
  box-sizing: border-box;
}
button:hover {
  background: var(--indigo-wash);
}
button:focus-visible {
  outline: 2px solid var(--indigo);
}
</style>
