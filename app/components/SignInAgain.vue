<script setup lang="ts">
const session = useSession()
</script>

<template>
  <el-dialog
    :model-value="true"
    title="Your session has ended"
    width="420px"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
  >
    <p class="explain">What you typed is still on this page. Sign in again and it is saved.</p>
    <SignInForm :number="session.person?.number" />
    <!-- The page is loaded anew, for whoever sits here. -->
    <p class="soft other">
      Not {{ session.person?.name }}? <a href="/">Go on as yourself</a>. What they typed stays on this device.
    </p>
  </el-dialog>
</template>

<style scoped>
.explain {
  margin-bottom: 16px;
}
.other {
  margin-top: 16px;
}
</style>
