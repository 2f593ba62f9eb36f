<script setup lang="ts">
import { deviceWords } from '#core/design/materials/materials'
import type { Materials } from '#core/design/materials/needs'
import type { ScopeNames } from '#words/findings/findings'
import { PART_NAME } from '~/texts/parts'
import { CABLE_NAME } from '#words/names'

/** What one bay needs: cable, devices, parts, circuit by circuit. */
defineProps<{
  materials: Materials
  scopes: ScopeNames
  tools: readonly string[]
  protection: readonly string[]
}>()
</script>

<template>
  <div class="materials">
    <table class="grid-table">
      <thead>
        <tr>
          <th>Cable</th>
          <th>For</th>
          <th class="num">Length</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="cable in materials.cables" :key="cable.circuit">
          <td>
            <b>{{ CABLE_NAME[cable.kind] }}</b>
            <span class="mono">{{ cable.lineMm2 }}/{{ cable.cpcMm2 }} mm²</span>
          </td>
          <td>{{ scopes[cable.circuit] }}</td>
          <td class="num">{{ cable.lengthM }} m</td>
        </tr>
      </tbody>
    </table>
    <table class="grid-table">
      <thead>
        <tr>
          <th>Device</th>
          <th>For</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="device in materials.devices" :key="device.circuit">
          <td class="mono">{{ deviceWords(device) }}</td>
          <td>{{ scopes[device.circuit] }}</td>
        </tr>
      </tbody>
    </table>
    <table class="grid-table">
      <thead>
        <tr>
          <th>Part</th>
          <th>For</th>
          <th class="num">Number</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(part, i) in materials.parts" :key="i">
          <td>
            {{ PART_NAME[part.part] }} <span class="soft">{{ part.detail }}</span>
          </td>
          <td>{{ scopes[part.circuit] }}</td>
          <td class="num">{{ part.count }}</td>
        </tr>
      </tbody>
    </table>
    <p><b>Tools:</b> {{ tools.join(', ') }}.</p>
    <p><b>Protection:</b> {{ protection.join(', ') }}.</p>
    <p class="small soft">
      Lengths hold half a metre at the board and a tail at each point, rounded up to half a metre.
    </p>
  </div>
</template>

<style scoped>
.materials {
  display: flex;
  flex-direction: column;
  gap: 14px;
  max-width: 860px;
}
td {
  padding: 4px 8px;
}
</style>
