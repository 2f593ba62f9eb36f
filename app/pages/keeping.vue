<script setup lang="ts">
/** For the administrator: copies of the data, who is signed in, and what was done by whom. */
definePageMeta({ roles: ['administrator'] })
const tab = ref('backups')
</script>

<template>
  <div class="page stack">
    <h1>Data and access</h1>
    <el-tabs v-model="tab">
      <el-tab-pane label="Backups" name="backups"><BackupPanel /></el-tab-pane>
      <el-tab-pane label="Signed in" name="sessions" lazy><SessionList /></el-tab-pane>
      <el-tab-pane label="Audit" name="audit" lazy><AuditList /></el-tab-pane>
      <el-tab-pane label="Server" name="server" lazy><ServerPanel /></el-tab-pane>
      <el-tab-pane label="Rules" name="rules" lazy><TrustPanel /></el-tab-pane>
    </el-tabs>
  </div>
</template>
