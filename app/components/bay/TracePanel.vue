<script setup lang="ts">
import type { TracedPole } from '#core/bay/behaviour/trace-point'
import type { Part, Rig } from '#core/bay/model/rig'
import { terminalWords, type PartIndex } from '#core/bay/model/terminals'

/** The way from the origin to a point, conductor by conductor and contact by contact. */
const props = defineProps<{
  part: Part | null
  poles: readonly TracedPole[]
  rig: Rig
  parts: PartIndex
  shown: string | null
}>()
const emit = defineEmits<{ show: [pole: string | null] }>()
const nameOf = (id: string) =>
  props.parts.get(id)?.name ?? props.rig.busbars.find((bar) => bar.id === id)?.name ?? id
</script>

<template>
  <div class="panel-part">
    <h2>Trace the path</h2>
    <p v-if="!part" class="soft">
      Touch a socket, lamp, switch or device. Line, neutral and earth are followed from the origin to it,
      through open contacts too.
    </p>
    <template v-else>
      <p>
        <b>{{ part.name }}</b>
      </p>
      <section v-for="{ pole, to, steps } in poles" :key="pole" class="pole" :class="{ on: shown === pole }">
        <button
          type="button"
          class="head"
          :aria-pressed="shown === pole"
          @click="emit('show', shown === pole ? null : pole)"
        >
          <b>{{ pole }}</b><span v-if="steps">{{ steps.length }} pieces</span
          ><span v-else class="tag stop">no path</span>
        </button>
        <ol v-if="steps && shown === pole">
          <li v-for="(step, i) in steps" :key="i">
            <span v-if="step.kind === 'part'"
              ><b>through {{ nameOf(step.through) }}</b></span
            ><span v-else-if="step.kind === 'busbar'">along {{ nameOf(step.through) }}</span
            ><span v-else>{{ terminalWords(parts, step.from) }} → {{ terminalWords(parts, step.to) }}</span>
          </li>
        </ol>
        <p v-else-if="!steps" class="small soft">
          Nothing joins {{ terminalWords(parts, to) }} to the origin.
        </p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.panel-part {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.pole {
  border-bottom: 1px solid var(--hem);
  padding-bottom: 6px;
}
.head {
  all: unset;
  box-sizing: border-box;
  width: 100%;
  cursor: pointer;
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 48px;
  padding: 0 8px;
}
.head b {
  font: var(--heavy) 17px var(--mono);
  min-width: 30px;
}
.on .head {
  background: var(--indigo-wash);
  box-shadow: inset 4px 0 0 var(--indigo);
}
.head:focus-visible {
  outline: 2.5px solid var(--indigo);
}
ol {
  margin: 6px 0;
  padding-left: 26px;
  font-size: 14px;
  line-height: 1.45;
}
</style>
