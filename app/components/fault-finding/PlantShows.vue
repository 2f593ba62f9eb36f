<script setup lang="ts">
/** What the chosen faults make of the bay, computed before anybody looks for them. */
const { plant } = defineProps<{ plant: ReturnType<typeof usePlant> }>()
const { chosen, preview, isComputing, toggle } = plant
const TELL = {
  easy: 'Easy: several readings point at it.',
  fair: 'Fair: the tests leave a few causes.',
  hard: 'Hard: several causes read alike; it takes the right next test.',
  'not by tests': 'No test of this bay shows it: for the eye only.',
}
</script>

<template>
  <section aria-label="What it shows" class="stack">
    <h2>What it shows</h2>
    <p v-if="chosen.length === 0" class="soft">
      Point at the bay and choose one fault, or two or three at once.
    </p>
    <p v-for="(fault, i) in chosen" :key="fault.code + fault.place">
      <b>{{ i + 1 }} · {{ fault.name }}</b
      >, {{ fault.where }}
      <el-button size="small" text :aria-label="`Remove ${fault.name}, ${fault.where}`" @click="toggle(fault)"
        >Remove</el-button
      >
    </p>
    <div v-if="isComputing" class="skeleton" style="height: 120px" />
    <template v-else-if="preview">
      <p
        class="stitched"
        :class="preview.difficulty === 'not by tests' ? 'stop' : 'waiting'"
        data-testid="difficulty"
      >
        {{ TELL[preview.difficulty] }}{{ ' '
        }}<template v-if="preview.alike"
          >{{ preview.alike }} other
          {{ preview.alike === 1 ? 'cause or place reads' : 'causes or places read' }} about alike.</template
        >
      </p>
      <p v-for="line in preview.symptoms" :key="line">{{ line }}</p>
      <p v-if="preview.symptoms.length === 0" class="soft">
        Energised in order, everything works: only tests show it.
      </p>
      <table class="grid-table">
        <thead>
          <tr>
            <th>Reading</th>
            <th class="num">Sound</th>
            <th class="num">With it</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="reading in preview.readings.slice(0, 12)" :key="reading.name">
            <td>{{ reading.name }}</td>
            <td class="num mono">{{ reading.sound }}</td>
            <td class="num mono">
              <b>{{ reading.faulty }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="preview.readings.length > 12" class="soft small">
        and {{ preview.readings.length - 12 }} more
      </p>
    </template>
  </section>
</template>
