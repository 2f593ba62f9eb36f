<script setup lang="ts">
import { EVIDENCE_KINDS } from '#core/assessment/outcomes/kinds'
import { EVIDENCE_KEYS } from '#schemas/framework'
import { evidenceKeySays } from '#words/evidence/keys'
import { KIND_TEXT } from '#words/evidence/labels'
import type { FrameworkDraft } from '~/composables/useFrameworkDraft'

/** One criterion: what is shown, how often, on what it rests. */
const criterion = defineModel<FrameworkDraft['units'][number]['criteria'][number]>({ required: true })
</script>

<template>
  <div class="form">
    <label class="field"
      ><span>Code</span><el-input v-model="criterion.code" name="criterion-code" maxlength="20"
    /></label>
    <label class="field wide"
      ><span>What is shown</span
      ><el-input v-model="criterion.text" type="textarea" autosize name="criterion-text"
    /></label>
    <label class="field wide"
      ><span>Part of BS 7671 that it rests on</span
      ><el-input v-model="criterion.bs7671" name="criterion-bs7671"
    /></label>
    <label class="field"
      ><span>Separate occasions</span><el-input-number v-model="criterion.occasions" :min="1" :max="10"
    /></label>
    <label class="field wide"
      ><span>Rests on</span
      ><el-select v-model="criterion.evidence" multiple filterable data-testid="rests-on"
        ><el-option
          v-for="key in EVIDENCE_KEYS"
          :key="key"
          :value="key"
          :label="evidenceKeySays(key)" /></el-select
    ></label>
    <label class="field"
      ><span>Kinds that count; none: all</span
      ><el-select v-model="criterion.kinds" multiple
        ><el-option
          v-for="kind in EVIDENCE_KINDS"
          :key="kind"
          :value="kind"
          :label="KIND_TEXT[kind]" /></el-select
    ></label>
    <label class="field"
      ><span>Kinds that are needed once at least</span
      ><el-select v-model="criterion.needs" multiple
        ><el-option
          v-for="kind in EVIDENCE_KINDS"
          :key="kind"
          :value="kind"
          :label="KIND_TEXT[kind]" /></el-select
    ></label>
    <el-checkbox v-model="criterion.isCritical">Critical: without it nothing else counts</el-checkbox>
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
