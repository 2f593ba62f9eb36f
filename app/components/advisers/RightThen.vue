<script setup lang="ts">
import { dayText } from '#words/day'
import { askedOn } from '#words/library/history'

/** What was asked of a design of that day, apart from what new work needs now. */
const { day } = defineProps<{ day: string }>()
const asked = computed(() => askedOn(day))
</script>

<template>
  <section class="then" data-testid="right-then">
    <h2>Right in its day? Designed on {{ dayText(day) }}</h2>
    <p v-if="asked.length === 0" class="soft">
      Before the 15th edition. What satisfied the edition of its day is not unsafe for that; look at what is
      there.
    </p>
    <dl v-else>
      <div v-for="{ topic, step } in asked" :key="topic.id">
        <dt>
          {{ topic.title.replace(', edition by edition', '') }}
          <span class="soft small">{{ step.edition }}</span>
        </dt>
        <dd>{{ step.said }}</dd>
      </div>
    </dl>
    <p class="soft small">
      From memory, in our own words. What satisfied it is not unsafe for that alone; inspect and test what is
      there, and record what is dangerous whatever its date.
    </p>
    <h2>What new work needs now</h2>
  </section>
</template>

<style scoped>
.then {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
dl {
  margin: 0;
}
dl > div {
  border-left: 3px solid var(--hem-strong);
  padding: 3px 0 5px 12px;
}
dt {
  font-weight: var(--strong);
}
dd {
  margin: 0;
}
</style>
