<script setup lang="ts">
import type { StarterView } from '#schemas/picture-views'
import { kindText } from '#words/picture/kinds'

/** What a lesson can do about a slip: ten tasks that provoke it, questions that unpick it, a starter of ten minutes. */
const { kind, cohort } = defineProps<{ kind: string; cohort: string }>()
const emit = defineEmits<{ done: []; close: [] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const { data, problem } = useServer<StarterView>(() => `picture/starter?slip=${encodeURIComponent(kind)}`)
const mayExercise = useSession().person!.role === 'instructor'
const form = reactive({ day: today(), title: '', code: '' })
const title = computed(() => form.title.trim() || kindText(kind))
const keep = () =>
  act(async () => {
    await call('POST', 'picture/lessons', { cohort, day: form.day, about: kind, title: title.value })
    emit('done')
  })
const setStarter = () =>
  act(async () => {
    const body = { cohort, slip: kind, code: form.code, day: form.day, title: title.value }
    const { id } = await call<{ id: number }>('POST', 'picture/starter', body)
    emit('done')
    await navigateTo(`/exercises/${id}`)
  })
</script>

<template>
  <el-dialog :model-value="true" :title="kindText(kind)" width="720px" @close="emit('close')">
    <div class="stack">
      <p v-if="problem" class="soft">{{ problem.message }}</p>
      <div v-else-if="!data" class="skeleton" style="height: 120px" />
      <template v-else>
        <p>
          A starter of ten minutes from <b>{{ data.base.code }} {{ data.base.title }}</b
          >: {{ data.variants.length }} variants in which the slip shows.
        </p>
        <p class="mono small">
          Lengths: {{ data.variants.map(({ lengthM }) => `${lengthM} m`).join(' · ') }}
        </p>
        <div>
          <h3>Questions that unpick it</h3>
          <p v-for="question in data.questions" :key="question.code">
            <b class="mono">{{ question.code }}</b> {{ question.text }}
          </p>
        </div>
      </template>
      <div class="row">
        <label class="field"
          ><span>Day of the lesson</span><DayPicker v-model="form.day" label="Day of the lesson"
        /></label>
        <label class="field"
          ><span>Title</span
          ><el-input
            v-model="form.title"
            :placeholder="kindText(kind)"
            name="lesson-title"
            maxlength="160"
            style="width: 240px"
        /></label>
        <label v-if="mayExercise && data" class="field"
          ><span>Code of the starter</span
          ><el-input
            v-model="form.code"
            placeholder="S-02"
            name="starter-code"
            maxlength="20"
            style="width: 110px"
        /></label>
      </div>
      <div class="row">
        <el-button
          v-if="mayExercise && data"
          type="primary"
          :disabled="!form.code.trim()"
          :loading="isBusy"
          data-testid="set-starter"
          @click="setStarter"
          >Set the starter for {{ cohort }}</el-button
        >
        <el-button :loading="isBusy" data-testid="keep-lesson" @click="keep"
          >Record the lesson only</el-button
        >
      </div>
    </div>
  </el-dialog>
</template>
