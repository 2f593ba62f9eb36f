<script setup lang="ts">
import type { SiteShown } from '#core/survey/site/site'
import { PLAN_TOOLS, type PlanTool } from '~/composables/useSurveyPlan'
import type { Fields } from '~/utils/document-shapes'

/** Drawing the plan: one tool at a time, what is picked beside it, everything there as a list. */
const { fields, base } = defineProps<{ fields: Fields; base: SiteShown['plan'] | null }>()
const emit = defineEmits<{ write: [name: string, text: string] }>()
const survey = useSurveyPlan({ fields, write: (name, text) => emit('write', name, text) })
const { plan, scale, tool, drawn, picked } = survey
const { keep } = usePictures()

const TOOL_TEXT: Readonly<Record<PlanTool, readonly [name: string, how: string]>> = {
  pick: ['Pick', 'Tap what you want to look at or change.'],
  scale: ['Scale', 'Tap both ends of something that you have measured, then give the metres.'],
  wall: ['Wall', 'Tap corner after corner, then Done.'],
  room: ['Room', 'Tap its corners, then Done.'],
  door: ['Door', 'Tap the middle of its opening.'],
  fixture: ['Bath, shower', 'Tap two opposite corners.'],
  board: ['Board', 'Tap where the board hangs.'],
  point: ['Point', 'Tap where it stands: a socket-outlet, a lamp, a machine.'],
  route: [
    'Route',
    'Tap bends if you want any, at last its point, then Done. It can be led along the walls afterwards.',
  ],
}
const known = computed(() => plan.value.known)
const things = computed(() => [
  ...plan.value.rooms.map(({ id, name }) => ({ box: `room.${id}`, text: name || 'Room' })),
  ...plan.value.fixtures.map(({ id }) => ({ box: `fixture.${id}`, text: 'Bath or shower' })),
  ...plan.value.points.map(({ id, name }) => ({ box: `point.${id}`, text: name || 'Point' })),
  ...plan.value.routes.map(({ id, name }) => ({ box: `route.${id}`, text: `Route: ${name}` })),
  ...plan.value.doors.map(({ id }, i) => ({ box: `door.${id}`, text: `Door ${i + 1}` })),
  ...plan.value.walls.map(({ id }, i) => ({ box: `wall.${id}`, text: `Wall ${i + 1}` })),
])
async function picture(file: File) {
  const hash = await keep(file)
  if (hash) emit('write', 'plan.image', hash)
}
function lead() {
  const route = plan.value.routes.find(({ id }) => `route.${id}` === picked.value)
  if (route && !survey.lead(route))
    ElMessage({
      type: 'warning',
      message:
        'No wall leads from the board to its last point. Draw the walls, place the board, or tap the bends.',
      showClose: true,
    })
}
function key(event: KeyboardEvent) {
  if (event.key === 'Escape') survey.cancel()
  if (event.key === 'Enter' && drawn.value.length > 0) survey.finish()
}
onMounted(() => addEventListener('keydown', key))
onBeforeUnmount(() => removeEventListener('keydown', key))
</script>

<template>
  <div class="stack">
    <div class="row tools" role="toolbar" aria-label="Tools of the plan">
      <button
        v-for="one in PLAN_TOOLS"
        :key="one"
        type="button"
        class="tool"
        :aria-pressed="tool === one"
        :data-testid="`tool-${one}`"
        @click="survey.choose(one)"
      >
        {{ TOOL_TEXT[one][0] }}
      </button>
      <FileButton accept="image/*" @file="picture">Picture under it…</FileButton>
    </div>
    <p class="soft" role="status">
      {{ TOOL_TEXT[tool][1] }}
      <b v-if="survey.missing.value" class="caution" role="alert">{{ survey.missing.value }}</b>
      <template v-if="drawn.length">
        <button type="button" class="text-button" data-testid="plan-done" @click="survey.finish">Done</button>
        <button type="button" class="text-button" @click="survey.cancel">Cancel</button>
      </template>
    </p>
    <div class="columns">
      <PlanDrawing
        class="kept-in-sight"
        :plan="plan"
        :scale="scale"
        :drawn="drawn"
        :picked="picked"
        :base="base"
        :image="fields['plan.image'] ?? ''"
        :is-drawing="tool !== 'pick'"
        @tap="survey.tap"
        @pick="tool === 'pick' && (picked = $event)"
      />
      <aside class="stack">
        <section v-if="known" class="stitched stack">
          <h2>Scale</h2>
          <FigureField
            label="The known line is so long, m"
            :model-value="known.metres"
            :min="0"
            :max="1000"
            :step="0.1"
            test-id="known-metres"
            @update:model-value="survey.setKnown({ ...known!, metres: $event })"
          />
          <p v-if="scale === undefined" class="caution">
            This line gives no scale yet: it needs a length on the plan and in metres.
          </p>
        </section>
        <section v-if="plan.board" class="stitched stack">
          <h2>Board</h2>
          <FigureField
            label="Height of its middle, m"
            :model-value="plan.board.heightM"
            :min="0"
            :max="10"
            :step="0.1"
            @update:model-value="survey.change('plan.board', { heightM: $event })"
          />
        </section>
        <PlanThing
          v-if="picked"
          :key="picked"
          :box="picked"
          :plan="plan"
          :conditions="{ moisture: fields['item.conditions.moisture'], dust: fields['item.conditions.dust'] }"
          @change="survey.change(picked!, $event)"
          @remove="survey.remove(picked!)"
          @lead="lead"
        />
        <details open>
          <summary>Everything on the plan ({{ things.length }})</summary>
          <ul class="things">
            <li v-for="one in things" :key="one.box">
              <button
                type="button"
                class="text-button"
                :aria-pressed="picked === one.box"
                @click="picked = one.box"
              >
                {{ one.text }}
              </button>
            </li>
          </ul>
        </details>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  gap: 18px;
  align-items: start;
}
.kept-in-sight {
  position: sticky;
  top: 0;
}
.tools {
  gap: 4px;
}
.tool {
  all: unset;
  cursor: pointer;
  min-height: 44px;
  padding: 0 14px;
  font-weight: var(--strong);
  border-bottom: 4px solid var(--hem);
}
.tool[aria-pressed='true'] {
  color: var(--indigo-text);
  border-bottom-color: var(--turmeric);
}
.tool:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.things {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
summary {
  cursor: pointer;
  font-weight: var(--strong);
  min-height: 32px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
