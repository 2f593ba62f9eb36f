<script setup lang="ts">
/** Over an exercise being written: what it is, whether it is saved, and what is done with it. */
const props = defineProps<{
  id: number | null
  builder: ReturnType<typeof useExerciseBuilder>
  mayChange: boolean
  state: string
}>()
const emit = defineEmits<{ set: []; duplicate: [] }>()
const { form, stored, read, design, isBusy, isChanged } = props.builder
const isSet = computed(() => stored.value?.state === 'set')
const canSet = computed(() => Boolean(read.value.exercise && design.value?.ok))
</script>

<template>
  <header class="bar">
    <div>
      <h1>
        {{ form.title || 'New exercise' }} <span class="soft code">{{ form.code }}</span>
      </h1>
      <span class="small soft" role="status" data-testid="builder-state">{{ state }}</span>
      <span v-if="builder.isBack.value && isChanged" class="small" data-testid="typed-before">
        Your typing from before is back; it was not saved.
        <button type="button" class="plain-button" @click="builder.discard">Discard it</button>
      </span>
    </div>
    <div class="row acts">
      <template v-if="mayChange">
        <el-button
          v-if="!isSet"
          type="primary"
          :disabled="!read.exercise || (!isChanged && stored !== null)"
          :loading="isBusy"
          @click="builder.save"
          >Save</el-button
        >
        <el-button v-if="stored" :disabled="!canSet" @click="emit('set')">Set for a group…</el-button>
      </template>
      <LinkButton v-if="stored" :to="`/exercises/${id}/sheets`">Print</LinkButton>
      <el-button v-if="mayChange && stored" text @click="emit('duplicate')">Duplicate</el-button>
      <LinkButton v-if="stored" :file="`/api/exercises/${id}/export`" text>Export</LinkButton>
      <LinkButton v-if="isSet" :file="`/api/exercises/${id}/results`" text>Results</LinkButton>
    </div>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
  flex-wrap: wrap;
}
.code {
  font: var(--strong) 15px var(--mono);
}
.acts {
  gap: 8px;
}
</style>
