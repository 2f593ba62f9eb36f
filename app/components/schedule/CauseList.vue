<script setup lang="ts">
import type { Diagnosis } from '#core/testing/diagnosis/diagnose'
import { isDead } from '#core/testing/kinds/kinds'
import type { Rig } from '#core/bay/model/rig'
import { causeWords } from '#words/causes'
import { testWords } from '#words/testing'
import { itemName } from '#words/findings/findings'

/** Causes with their share of belief, what each leaves unexplained, and what to measure next. Never a certainty. */
const props = defineProps<{ rig: Rig; diagnosis: Diagnosis; names: Readonly<Record<string, string>> }>()
/** What is next to impossible is not worth reading; two stay for comparison. */
const LEAST_SHARE = 0.005
const causes = computed(() =>
  props.diagnosis.candidates
    .filter(({ share }, i) => i < 2 || share >= LEAST_SHARE)
    .map((candidate) => ({
      ...causeWords(props.rig, candidate),
      share: candidate.share,
      open: Object.entries(candidate.fits)
        .filter(([, fits]) => !fits)
        .map(([key]) => key),
      explained: props.diagnosis.odd.filter((key) => candidate.fits[key]).length,
    })),
)
const nameOf = (key: string) => itemName(`reading.${key}`, props.names)
</script>

<template>
  <p v-if="diagnosis.odd.length === 0">
    Every reading fits the bay as it was meant. That is what the readings say; what is at the bay, you see
    with your own eyes.
  </p>
  <template v-else>
    <p class="soft small">
      {{ diagnosis.odd.length }} out of tolerance: {{ diagnosis.odd.slice(0, 4).map(nameOf).join('; ')
      }}<template v-if="diagnosis.odd.length > 4"> and {{ diagnosis.odd.length - 4 }} more</template>.
    </p>
    <ol>
      <li v-for="cause in causes" :key="cause.cause + cause.where">
        <div class="row spread">
          <b>{{ cause.cause }}</b><span class="mono">{{ Math.round(cause.share * 100) }} %</span>
        </div>
        <span class="share" aria-hidden="true"
          ><span :style="{ width: `${Math.max(1, cause.share * 100)}%` }"
        /></span>
        <p v-if="cause.where">{{ cause.where }}</p>
        <p class="soft">{{ cause.tell }}</p>
        <p class="small" :class="cause.open.length ? 'open' : 'soft'">
          explains {{ cause.explained }} of {{ diagnosis.odd.length
          }}<template v-if="cause.open.length"
            >; leaves open {{ cause.open.slice(0, 3).map(nameOf).join('; ')
            }}<template v-if="cause.open.length > 3">
              and {{ cause.open.length - 3 }} more</template
            ></template
          >
        </p>
      </li>
    </ol>
    <p v-if="diagnosis.next" class="stitched" data-testid="next-measurement">
      <b>Measure next:</b> {{ testWords(rig, diagnosis.next.test) }}. It separates the likeliest causes
      best.<template v-if="!isDead(diagnosis.next.test.key)">
        A live test: only with permission, and only if the circuit may be energised as it is.</template
      >
    </p>
    <p class="soft small">
      Shares are among the causes that the catalogue knows. None of them is certain before somebody has
      looked.
    </p>
  </template>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
  margin: 0;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
li {
  line-height: 1.35;
}
.share {
  display: block;
  height: 5px;
  background: var(--hem);
  margin: 4px 0;
}
.share span {
  display: block;
  height: 5px;
  background: var(--indigo);
}
.open {
  color: var(--madder-text);
}
</style>
