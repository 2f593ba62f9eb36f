<script setup lang="ts">
import type { RegisterView } from '#schemas/isolation-views'

definePageMeta({ roles: ['instructor', 'assessor'] })
const id = Number(useRoute().query.lock)
const { data: register, problem, refresh } = useServer<RegisterView>(() => 'register')
const lock = computed(() => register.value?.locks.find((lock) => lock.id === id))
const print = () => window.print()
</script>

<template>
  <div class="page">
    <div class="row screen-only">
      <LinkButton to="/isolation">Back</LinkButton
      ><el-button type="primary" :disabled="!lock" @click="print">Print on A6</el-button>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <p v-else-if="register && !lock" class="empty">
      This padlock is off by now, so there is no tag to print.
    </p>
    <article v-else-if="lock" class="tag-card">
      <header>
        <p class="never">Do not switch on</p>
        <p class="hands">Somebody’s hands are on this circuit.</p>
      </header>
      <p class="device">
        {{ lock.device }} <span>bay {{ lock.bay }}</span>
      </p>
      <dl>
        <div>
          <dt>Name</dt>
          <dd>{{ lock.name }}</dd>
        </div>
        <div>
          <dt>Since</dt>
          <dd>{{ dayTime(lock.onAt) }}</dd>
        </div>
        <div>
          <dt>Reason</dt>
          <dd>{{ lock.reason }}</dd>
        </div>
        <div>
          <dt>Padlock</dt>
          <dd class="mono">{{ lock.padlock }}</dd>
        </div>
      </dl>
      <p class="foot">
        Only the person named takes this off. If you need this circuit, find them. Training bay; the rules of
        the centre apply.
      </p>
    </article>
  </div>
</template>

<style>
@media print {
  @page {
    size: A6 landscape;
    margin: 6mm;
  }
}
</style>
<style scoped>
.tag-card {
  width: 148mm;
  min-height: 105mm;
  box-sizing: border-box;
  margin: 20px auto;
  padding: 9mm 10mm;
  background: #fff;
  color: #1f2430;
  border: 2.5mm solid #9c3226;
  border-image: repeating-linear-gradient(90deg, #9c3226 0 6mm, transparent 6mm 9mm) 8;
  display: flex;
  flex-direction: column;
  gap: 3mm;
}
.never {
  font: var(--heavy) 10.5mm/1 var(--font);
  color: #8e2a1f;
}
.hands {
  font: var(--strong) 4.6mm/1.2 var(--font);
  padding-top: 1.5mm;
}
.device {
  font: var(--heavy) 8mm/1.1 var(--font);
  border-top: 0.5mm solid #1f2430;
  padding-top: 2.5mm;
}
.device span {
  font-weight: var(--mid);
  font-size: 5.5mm;
}
dl {
  margin: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 1.5mm 6mm;
}
dt {
  font-size: 3.4mm;
  color: #565b68;
}
dd {
  margin: 0;
  font: var(--strong) 4.8mm/1.2 var(--font);
}
dd.mono {
  font-family: var(--mono);
}
.foot {
  font-size: 3.4mm;
  margin-top: auto;
  color: #565b68;
}
@media print {
  .tag-card {
    width: 136mm;
    min-height: 92mm;
    margin: 0;
    padding: 5mm 7mm;
  }
}
</style>
