<template>
  <footer>
    <p>
      <b>Before anything is energised:</b> dead tests complete, inspection done, permission of an assessor by
      name and time. Follow the rules of the centre, the current regulations and local codes; live work is
      supervised work.
    </p>
    <p class="soft">Training record, not a certificate for an installation in service.</p>
  </footer>
</template>

<style scoped>
footer {
  border-top: 1px solid var(--hem);
  padding-top: 10px;
  font-size: 13px;
  display: flex;
  flex-direction: column;
  gap: 4px;
  break-inside: avoid;
}
</style>
