<template>
  <div class="plain bay">
    <div class="cover" aria-hidden="true">
      <NakshiMark :size="64" />
      <p class="name">Nakshi</p>
      <StitchField />
    </div>
    <main class="side"><slot /></main>
  </div>
</template>

<style scoped>
.plain {
  min-height: 100vh;
  display: grid;
  grid-template-columns: minmax(340px, 44%) 1fr;
}
.cover {
  background: var(--head);
  color: var(--head-text);
  padding: 56px;
  display: flex;
  flex-direction: column;
  gap: 14px;
  position: sticky;
  top: 0;
  max-height: 100vh;
  overflow: hidden;
  border-right: 6px solid var(--head);
}
.cover::after {
  content: '';
  position: absolute;
  right: 8px;
  top: 0;
  bottom: 0;
  border-right: 2px dashed var(--head-stitch);
  opacity: 0.75;
}
.name {
  font-size: 40px;
  font-weight: var(--heavy);
  margin: 6px 0 0;
  letter-spacing: -0.01em;
}
.side {
  display: grid;
  place-content: center;
  padding: 32px;
  grid-template-columns: minmax(0, 400px);
}
@media (max-width: 760px) {
  .plain {
    grid-template-columns: 1fr;
    grid-template-rows: auto 1fr;
  }
  .cover {
    position: relative;
    padding: 24px;
  }
}
</style>
