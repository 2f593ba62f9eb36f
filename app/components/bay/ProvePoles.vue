<script setup lang="ts">
import { POSITIONS, isProof, polesToProve, proofField, type PoleProof } from '#core/bay/mount/proof'
import type { Rig } from '#core/bay/model/rig'
import { proofWords } from '#words/mounting'

/** Before any supply: continuity across each pole, open and closed, as it is read. */
const { rig, fields } = defineProps<{
  rig: Rig
  fields: Readonly<Record<string, string>>
  isBusy: boolean
  isLive: boolean
}>()
const emit = defineEmits<{ prove: [proof: PoleProof] }>()
const proofs = computed(() => polesToProve(rig))
const rows = computed(() =>
  proofs.value
    .filter(({ position }) => position === POSITIONS[0])
    .map(({ device, pole }) => ({ device, pole, key: `${device.id} ${pole}` })),
)
const left = computed(
  () => proofs.value.filter((proof) => !isProof(proof.position, fields[proofField(proof)] ?? '')).length,
)
const textOf = (proof: PoleProof) => fields[proofField(proof)] ?? ''
</script>

<template>
  <section class="stack" data-testid="prove-poles">
    <h2>Prove before any supply</h2>
    <p class="small soft">
      Continuity across each pole, open and closed. Lamps and loads make a way round an open pole: take them
      out.
    </p>
    <p v-if="rows.length === 0" class="soft">Nothing is mounted yet.</p>
    <table v-else>
      <thead>
        <tr>
          <th scope="col">Pole</th>
          <th v-for="position in POSITIONS" :key="position" scope="col">{{ position }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ device, pole, key } in rows" :key="key">
          <th scope="row">
            {{ device.name }} <span class="sym">{{ pole }}</span>
          </th>
          <td v-for="position in POSITIONS" :key="position">
            <button
              type="button"
              class="read"
              :class="{
                met: isProof(position, textOf({ device, pole, position })),
                wrong:
                  textOf({ device, pole, position }) !== '' &&
                  !isProof(position, textOf({ device, pole, position })),
              }"
              :disabled="isBusy || isLive"
              :aria-label="`${device.name} ${pole} ${position}: ${proofWords(textOf({ device, pole, position }))}`"
              :data-testid="`prove-${device.id}-${pole}-${position}`"
              @click="emit('prove', { device, pole, position })"
            >
              {{
                textOf({ device, pole, position }) === ''
                  ? 'Read'
                  : proofWords(textOf({ device, pole, position }))
              }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="small" data-testid="proofs-left">
      {{
        left === 0
          ? 'Every pole opens and closes.'
          : `${left} readings to go; until then the supply stays off.`
      }}
    </p>
  </section>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: var(--strong);
  padding: 2px 6px 2px 0;
}
td {
  padding: 2px 0 2px 6px;
  width: 34%;
}
.read {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  width: 100%;
  min-height: 44px;
  padding: 2px 8px;
  text-align: center;
  border: 1.5px solid var(--indigo);
  border-radius: var(--ease);
  color: var(--indigo-text);
  font: var(--strong) 15px var(--font);
}
.read.met {
  border-color: var(--leaf);
  color: var(--leaf-text);
  border-left-width: 6px;
}
.read.wrong {
  border: 1.5px dashed var(--madder);
  color: var(--madder-text);
}
.read:disabled {
  opacity: 0.5;
  cursor: default;
}
.read:focus-visible {
  outline: 2.5px solid var(--turmeric);
}
</style>
