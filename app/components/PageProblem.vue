<script setup lang="ts">
import type { ApiProblem } from '~/utils/api-problem'

/** In place of a page whose matter could not be had: what is wrong, and the way on. */
const { problem } = defineProps<{ problem: Pick<ApiProblem, 'message' | 'status'> }>()
const emit = defineEmits<{ retry: [] }>()
const router = useRouter()
const isMissing = computed(() => problem.status === 404)
/** To where they came from; to their first page where they came by an address. */
const back = () => (window.history.state?.back ? router.back() : navigateTo('/'))
</script>

<template>
  <section class="missing" role="alert">
    <h1>{{ isMissing ? 'Not found' : 'This could not be shown' }}</h1>
    <p>{{ problem.message }}</p>
    <div class="row">
      <el-button type="primary" @click="back">Back</el-button>
      <el-button v-if="!isMissing" @click="emit('retry')">Try again</el-button>
    </div>
  </section>
</template>

<style scoped>
.missing {
  border: 1.5px dashed var(--madder);
  border-radius: var(--ease);
  background: var(--madder-wash);
  padding: 28px;
  margin: 18px auto;
  max-width: 620px;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.missing p {
  margin: 0;
}
</style>
