<template>
  <div class="skeleton" />
</template>
