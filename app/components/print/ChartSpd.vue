<script setup lang="ts">
import type { SurgeWays } from '#core/installation/installation'
import { SURGE_BREAKER } from '#core/installation/surge'

/** The row of an SPD on a circuit chart, at the way of its device. */
defineProps<{ surge: SurgeWays }>()
</script>

<template>
  <tr>
    <td>
      <b class="mono">{{ surge.deviceWay }}</b>
    </td>
    <td>SPD, in way {{ surge.way }}</td>
    <td class="mono">{{ SURGE_BREAKER.curve }}{{ SURGE_BREAKER.ratingA }} A</td>
    <td :colspan="5" />
  </tr>
</template>
