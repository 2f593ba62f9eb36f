<script setup lang="ts">
import type { Part } from '#core/bay/model/rig'
import { terminalsOf } from '#core/bay/model/terminals'

/** A terminal by name: type parts of it, such as `way 1 out`, and press Enter. */
const props = defineProps<{ parts: readonly Part[]; label: string }>()
const emit = defineEmits<{ take: [ref: string] }>()
const text = ref('')
const all = computed(() =>
  props.parts.flatMap((part) =>
    terminalsOf(part).map((name) => ({
      value: `${part.name} · ${name}`,
      ref: `${part.id}.${name}`,
      key: `${part.name} ${name} ${part.id}`.toLowerCase(),
    })),
  ),
)
const MOST = 12
// The box names a list that is there only once somebody types; until then it must not speak of it.
const box = ref<HTMLElement | null>(null)
const input = () => box.value?.querySelector('input')
let list = ''
onMounted(() => {
  list = input()?.getAttribute('aria-controls') ?? ''
  for (const name of ['aria-controls', 'aria-activedescendant']) input()?.removeAttribute(name)
})
const speak = () => list && input()?.setAttribute('aria-controls', list)

function find(typed: string, answer: (found: { value: string; ref: string }[]) => void) {
  const words = typed
    .toLowerCase()
    .split(/[\s·]+/)
    .filter(Boolean)
  // Whole words first: “b” is bar B before it is any bar.
  const whole = (key: string) => words.filter((word) => key.split(' ').includes(word)).length
  const found = all.value.filter(({ key }) =>
    words.every((word) => key.split(' ').some((part) => part.startsWith(word))),
  )
  answer(found.sort((a, b) => whole(b.key) - whole(a.key)).slice(0, MOST))
}
function take({ ref: found }: Record<string, string>) {
  emit('take', found!)
  text.value = ''
}
</script>

<template>
  <label ref="box" class="finder">
    <span class="small soft">{{ label }}</span>
    <el-autocomplete
      v-model="text"
      :fetch-suggestions="find"
      highlight-first-item
      placeholder="way 1 out"
      aria-label="Terminal by name"
      data-testid="terminal-finder"
      clearable
      @input="speak"
      @select="take"
    />
  </label>
</template>

<style scoped>
.finder {
  display: flex;
  flex-direction: column;
  gap: 3px;
}
.finder :deep(.el-input__wrapper) {
  min-height: 44px;
}
</style>
