<script setup lang="ts">
import { PERMISSION_MINUTES } from '#core/exercise/attempt/permission'
import type { FloorPatch } from '#schemas/views'

/** Who permits, whom, where and for how long; said once more before it counts. */
defineProps<{ patch: FloorPatch; by: string }>()
const emit = defineEmits<{ close: []; permit: [remark: string] }>()
const remark = ref('')
</script>

<template>
  <el-dialog model-value title="Permission to energise" width="480px" @close="emit('close')">
    <div class="stack bay">
      <p>
        You, <b>{{ by }}</b>, permit <b>{{ patch.name }}</b> to energise bay <b>{{ patch.bay }}</b>, now,
        under supervision. It holds for {{ PERMISSION_MINUTES }} minutes, unless you stop it.
      </p>
      <label class="field"
        ><span>Remark, if any; the apprentice reads it</span
        ><el-input v-model="remark" maxlength="300" name="remark"
      /></label>
      <p class="caution">
        Covers on, people informed, correct leads. Follow the rules of the centre and the current regulations.
      </p>
      <div class="row">
        <el-button type="primary" @click="emit('permit', remark)">Give permission</el-button>
        <el-button @click="emit('close')">Back</el-button>
      </div>
    </div>
  </el-dialog>
</template>
