<script setup lang="ts">
import type { WitnessView } from '#schemas/evidence-views'

/** Who saw the work: asked by a printed code that works once. */
const {
  id,
  witnesses,
  isReadOnly = false,
} = defineProps<{ id: number; witnesses: readonly WitnessView[]; isReadOnly?: boolean }>()
const emit = defineEmits<{ asked: [] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const form = reactive({ name: '', role: '', contact: '' })
const code = ref('')
/** Whom the code is for. */
const asked = ref('')
const isOpen = ref(false)
const isWhole = computed(() => Object.values(form).every((text) => text.trim() !== ''))
const ask = () =>
  act(async () => {
    code.value = (await call<{ code: string }>('POST', `accounts/${id}/witness`, form)).code
    asked.value = form.name
    Object.assign(form, { name: '', role: '', contact: '' })
    emit('asked')
  })
const print = () => window.print()
const address = computed(() => `${location.origin}/witness`)
</script>

<template>
  <section v-if="!isReadOnly || witnesses.length" class="stack" aria-label="Witnesses">
    <h2>Witnesses</h2>
    <div v-for="witness in witnesses" :key="witness.askedAt" class="small">
      <p>
        <b>{{ witness.name }}</b>, {{ witness.role }}, {{ witness.contact }}
        <span class="tag" :class="witness.statedAt ? 'met' : 'waiting'">{{
          witness.statedAt ? `stated ${date(witness.statedAt)}` : 'asked'
        }}</span>
      </p>
      <p v-if="witness.statement" class="statement">{{ witness.statement }}</p>
    </div>
    <div v-if="code" class="stitched slip" data-testid="witness-code">
      <p class="screen-only">
        Give this slip to your witness. The code works once and is shown here only now.
      </p>
      <WitnessSlip :code="code" :address="address" :witness="asked" />
      <div class="row screen-only">
        <el-button type="primary" @click="print">Print the slip</el-button>
        <button type="button" class="text-button" @click="code = ''">Hide the code</button>
      </div>
    </div>
    <template v-if="!isReadOnly">
      <button type="button" class="text-button" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        {{ isOpen ? 'Not now' : 'Ask a witness' }}
      </button>
      <div v-if="isOpen" class="row">
        <el-input
          v-model="form.name"
          class="box"
          placeholder="Name"
          aria-label="Name of the witness"
          name="witness-name"
        />
        <el-input
          v-model="form.role"
          class="box"
          placeholder="Role, such as supervisor"
          aria-label="Role"
          name="witness-role"
        />
        <el-input
          v-model="form.contact"
          class="box"
          placeholder="How to reach them"
          aria-label="Contact"
          name="witness-contact"
        />
        <el-button :disabled="!isWhole" :loading="isBusy" data-testid="ask-witness" @click="ask"
          >Make a code</el-button
        >
      </div>
    </template>
  </section>
</template>

<style scoped>
.box {
  width: 220px;
}
.statement {
  white-space: pre-line;
  border-left: 4px solid var(--leaf);
  padding-left: 10px;
}
.text-button {
  align-self: flex-start;
}
</style>
