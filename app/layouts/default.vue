<template>
  <div class="desk">
    <a class="skip" href="#main">To the content</a>
    <AppHead />
    <KeySheet />
    <GoTo />
    <main id="main"><slot /></main>
  </div>
</template>

<style scoped>
.desk {
  min-height: 100vh;
  display: flex;
  flex-direction: column;
}
main {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
</style>
