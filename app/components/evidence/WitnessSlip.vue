<script setup lang="ts">
/** What a witness is given: the code, where to type it, what to write. On paper it stands alone. */
defineProps<{ code: string; address: string; witness: string }>()
onMounted(() => document.documentElement.classList.add('slip-alone'))
onBeforeUnmount(() => document.documentElement.classList.remove('slip-alone'))
</script>

<template>
  <article class="witness-slip">
    <p class="soft">For {{ witness }}</p>
    <p class="mono code">{{ code }}</p>
    <ol>
      <li>
        Open <b>{{ address }}</b>.
      </li>
      <li>Type the code. It works once.</li>
      <li>Write what you saw this person do themselves: what, where, how well.</li>
    </ol>
    <p class="soft small">
      Whether it meets a criterion is decided by an assessor. Leave out names of others and addresses.
    </p>
  </article>
</template>

<style>
/* A code is nobody else's: on paper the slip is all there is. */
@media print {
  html.slip-alone body * {
    visibility: hidden;
  }
  html.slip-alone .witness-slip,
  html.slip-alone .witness-slip * {
    visibility: visible;
  }
  html.slip-alone .witness-slip {
    position: fixed;
    inset: 0 auto auto 0;
    width: 120mm;
    padding: 6mm;
    border: 1px dashed #444;
  }
}
</style>
<style scoped>
.code {
  font-size: 26px;
  font-weight: var(--heavy);
  letter-spacing: 0.04em;
}
ol {
  margin: 6px 0;
  padding-left: 20px;
}
</style>
