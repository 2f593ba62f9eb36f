<script setup lang="ts">
import { MEMBERS_OF } from '#core/assessment/outcomes/check-framework'
import { SET_SORTS } from '#core/assessment/outcomes/framework'
import { SETTINGS } from '#core/assessment/outcomes/shows'
import { SETTING_TEXT, SORT_TEXT, memberText } from '#words/evidence/labels'
import type { FrameworkDraft } from '~/composables/useFrameworkDraft'

/** One quota of a unit. */
const quota = defineModel<FrameworkDraft['units'][number]['quotas'][number]>({ required: true })
const percent = computed({
  get: () => (quota.value.kind === 'share' ? Math.round(100 * quota.value.moreThan) : 0),
  set: (next: number) => {
    if (quota.value.kind === 'share') quota.value.moreThan = next / 100
  },
})
</script>

<template>
  <div class="form">
    <label class="field"
      ><span>Code</span><el-input v-model="quota.code" name="quota-code" maxlength="20"
    /></label>
    <label class="field wide"
      ><span>In words</span
      ><el-input
        v-model="quota.text"
        name="quota-text"
        placeholder="Three wiring systems, conduit and trunking among them"
    /></label>
    <template v-if="quota.kind === 'set'">
      <label class="field"
        ><span>Counts</span
        ><el-select v-model="quota.of" @change="quota.kind === 'set' && (quota.compulsory = [])"
          ><el-option
            v-for="sort in SET_SORTS"
            :key="sort"
            :value="sort"
            :label="SORT_TEXT[sort].many" /></el-select
      ></label>
      <label class="field"
        ><span>Different ones, at least</span><el-input-number v-model="quota.least" :min="1" :max="40"
      /></label>
      <label class="field"
        ><span>Each on so many occasions</span><el-input-number v-model="quota.each" :min="1" :max="10"
      /></label>
      <label class="field wide"
        ><span>Compulsory</span
        ><el-select v-model="quota.compulsory" multiple
          ><el-option
            v-for="member in MEMBERS_OF[quota.of]"
            :key="member"
            :value="member"
            :label="memberText(member)" /></el-select
      ></label>
    </template>
    <template v-else-if="quota.kind === 'share'">
      <label class="field wide"
        ><span>Settings that count</span
        ><el-select v-model="quota.settings" multiple
          ><el-option
            v-for="setting in SETTINGS"
            :key="setting"
            :value="setting"
            :label="SETTING_TEXT[setting]" /></el-select
      ></label>
      <label class="field"
        ><span>More than, %</span><el-input-number v-model="percent" :min="0" :max="99"
      /></label>
      <label class="field"
        ><span>Jobs in all, at least</span><el-input-number v-model="quota.jobs" :min="1" :max="40"
      /></label>
    </template>
    <label v-else class="field"
      ><span>Behaviours, at least</span><el-input-number v-model="quota.least" :min="1" :max="40"
    /></label>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
}
.wide {
  grid-column: 1 / -1;
}
</style>
