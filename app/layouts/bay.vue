<template>
  <div class="bay shell">
    <a class="skip" href="#main">To the content</a>
    <AppHead />
    <main id="main" tabindex="0"><slot /></main>
  </div>
</template>

<style scoped>
.shell {
  height: 100vh;
  display: flex;
  flex-direction: column;
}
main {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
  overflow: auto;
  outline-offset: -3px;
}
</style>
