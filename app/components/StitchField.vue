<template>
  <svg
    class="tram"
    viewBox="0 0 460 210"
    fill="none"
    stroke="currentColor"
    stroke-width="4"
    stroke-linecap="round"
    stroke-dasharray="11 8"
    aria-hidden="true"
  >
    <path d="M4 14H456" opacity="0.55" />
    <path d="M300 58L352 16" />
    <path d="M128 58Q140 40 166 40H318Q344 40 356 58" />
    <path d="M84 66H398Q414 66 416 84L422 160H60L66 84Q68 66 84 66Z" />
    <path stroke="#E0A93B" d="M66 128H418" />
    <path
      d="M96 84H138V114H96ZM162 84H204V114H162ZM228 84H270V114H228ZM294 84H336V114H294ZM360 84H396V114H358Z"
      stroke-dasharray="9 7"
    />
    <circle cx="136" cy="172" r="17" stroke-dasharray="8 7" />
    <circle cx="346" cy="172" r="17" stroke-dasharray="8 7" />
    <path d="M4 198H456" opacity="0.55" />
  </svg>
</template>

<style scoped>
.tram {
  margin-top: auto;
  width: 100%;
  max-width: 460px;
  color: var(--head-stitch);
}
</style>
