<script setup lang="ts">
/** Chooses the group that gets an exercise. */
defineProps<{ isBusy: boolean; title?: string }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ set: [cohort: string] }>()
const { data: cohorts } = useCohorts()
const cohort = ref('')
</script>

<template>
  <el-dialog v-model="open" :title="title ?? 'Set for a group'" width="440px">
    <div class="stack">
      <p>
        <slot
          >Everybody in the group who does not have it yet gets a variant of their own and a bay number. After
          that the exercise is locked.</slot
        >
      </p>
      <el-select v-model="cohort" placeholder="Choose a group" aria-label="Group" data-testid="set-cohort"
        ><el-option v-for="name in cohorts ?? []" :key="name" :value="name" :label="name"
      /></el-select>
      <div class="row">
        <el-button type="primary" :disabled="!cohort" :loading="isBusy" @click="emit('set', cohort)"
          >Set it</el-button
        >
        <el-button @click="open = false">Back</el-button>
      </div>
    </div>
  </el-dialog>
</template>
