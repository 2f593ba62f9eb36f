<script setup lang="ts">
import type { SurveyView } from '#schemas/survey-views'
import { ACT_TEXT } from '#words/survey/items'

/** Walking round an invented site: what can be looked at, asked and measured, and what it showed. */
const { id, view, isReadOnly = false } = defineProps<{ id: number; view: SurveyView; isReadOnly?: boolean }>()
const emit = defineEmits<{ seen: [seen: SurveyView['seen']] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const shown = computed(() => new Map(view.seen.map((one) => [one.act, one])))
const go = (one: string) =>
  act(async () => emit('seen', await call<SurveyView['seen']>('POST', `surveys/${id}/act`, { act: one })))
</script>

<template>
  <div class="stack">
    <p class="story">{{ view.site!.story }}</p>
    <p class="soft">Look, ask or measure before you record it. Anything else counts as assumed.</p>
    <ul class="acts">
      <li v-for="one in view.site!.acts" :key="one.id">
        <div class="row spread">
          <span>{{ one.name }}</span>
          <el-button
            v-if="!shown.has(one.id) && !isReadOnly"
            :loading="isBusy"
            :data-testid="`act-${one.id}`"
            @click="go(one.id)"
            >{{ ACT_TEXT[one.kind] }}</el-button
          >
        </div>
        <p v-if="shown.get(one.id)" class="shows" :data-testid="`shows-${one.id}`">
          {{ shown.get(one.id)!.shows }}
        </p>
        <DrawnPlace
          v-if="shown.get(one.id)?.picture"
          :shapes="shown.get(one.id)!.picture!"
          :name="one.name"
        />
        <p v-else-if="isReadOnly" class="soft small">not done</p>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.story {
  max-width: 75ch;
  font-size: 16px;
}
.acts {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 4px 30px;
}
.acts li {
  border-bottom: 1px solid var(--hem);
  padding: 6px 0;
}
.shows {
  margin: 4px 0 4px;
  padding-left: 12px;
  border-left: 3px solid var(--turmeric);
}
@media (max-width: 900px) {
  .acts {
    grid-template-columns: 1fr;
  }
}
</style>
