<script setup lang="ts">
import { GRADES, ITEM_GROUPS, type InspectionItem } from '#core/inspection/items'
import { GRADE_NAME, GROUP_NAME, ITEM_TEXT } from '#words/inspection'

/** Looking before testing: every terminal group, bar, blank, label and accessory of this bay, graded, with remarks, torque and pictures. */
definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor'] })
const id = Number(useRoute().params.id)
const inspection = useInspection(id)
const { view, field, write, conclusion, autosave } = inspection
const pictures = usePictures()
const group = ref<(typeof ITEM_GROUPS)[number] | 'used'>('enclosure')
const groups = computed(() =>
  ITEM_GROUPS.filter((one) => view.value?.items.some((item) => item.group === one)).map((one) => {
    const own = view.value!.items.filter((item) => item.group === one)
    return {
      one,
      of: own.length,
      looked: own.filter(({ key }) => field(`see.${key}`) !== '').length,
      open: own.some(({ key }) => (GRADES as readonly string[]).includes(field(`see.${key}`))),
    }
  }),
)
const items = computed(() => (view.value?.items ?? []).filter((item) => item.group === group.value))
const isGraded = ({ key }: InspectionItem) => (GRADES as readonly string[]).includes(field(`see.${key}`))
const photosOf = ({ key }: InspectionItem) => field(`photo.${key}`).split(' ').filter(Boolean)
async function addPhoto(item: InspectionItem, event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  const hash = file ? await pictures.keep(file) : null
  if (hash) write(`photo.${item.key}`, [...new Set([...photosOf(item), hash])].join(' '))
}
const remark = (item: InspectionItem, text: string) =>
  write(
    `remark.${item.key}`,
    field(`remark.${item.key}`).includes(text)
      ? field(`remark.${item.key}`)
      : [field(`remark.${item.key}`).trim(), text].filter(Boolean).join('. '),
  )
const allOk = () =>
  items.value.filter(({ key }) => field(`see.${key}`) === '').forEach(({ key }) => write(`see.${key}`, 'ok'))
const torqueOff = (item: InspectionItem) =>
  conclusion.value?.torque.some((one) => one.item.key === item.key && one.nm !== null)
onMounted(inspection.load)
</script>

<template>
  <div v-if="inspection.problem.value" class="page">
    <ServerProblem :problem="inspection.problem.value" @retry="inspection.load" />
  </div>
  <div v-else-if="!view || !conclusion" class="page stack">
    <div v-for="i in 6" :key="i" class="skeleton" style="height: 60px" />
  </div>
  <div v-else class="inspect">
    <nav aria-label="Groups">
      <p class="soft">Bay {{ view.attempt.bay }} · {{ view.attempt.code }}<br />{{ view.attempt.name }}</p>
      <button
        v-for="one in groups"
        :key="one.one"
        type="button"
        :aria-current="group === one.one"
        @click="group = one.one"
      >
        <b>{{ GROUP_NAME[one.one] }}<span v-if="one.open" class="open" aria-label="observations">!</span></b
        ><span class="mono">{{ one.looked }}/{{ one.of }}</span>
      </button>
      <button type="button" :aria-current="group === 'used'" @click="group = 'used'">
        <b>Used and returned</b>
      </button>
      <div class="stitched" :class="conclusion.isSafeToTest ? 'met' : 'waiting'" data-testid="conclusion">
        <b>{{
          conclusion.isSafeToTest
            ? 'Nothing seen against testing'
            : conclusion.looked < conclusion.of
              ? `${conclusion.of - conclusion.looked} still to look at`
              : 'Not to be tested'
        }}</b>
        <p class="small">
          {{ conclusion.observations.length }}
          {{ conclusion.observations.length === 1 ? 'observation' : 'observations'
          }}<template v-if="conclusion.torque.length"
            >; torque of {{ conclusion.torque.length }} to record or correct</template
          >. It stands beside the request to energise.
        </p>
      </div>
      <p v-if="view.savedBy" class="small soft" data-testid="counts">
        {{
          view.savedBy.isAssessor
            ? `Gone over by ${view.savedBy.name}: it counts for the record.`
            : `Last changed by ${view.savedBy.name}. It counts for the record once an assessor has gone over it.`
        }}
      </p>
      <SaveWords
        :state="autosave.state.value"
        :saved-at="autosave.savedAt.value"
        :message="autosave.message.value"
      />
    </nav>
    <fieldset v-if="group !== 'used'" class="items" :disabled="!view.mayChange">
      <div class="row spread">
        <h1>{{ GROUP_NAME[group] }}</h1>
        <el-button v-if="view.mayChange" @click="allOk">The rest here is satisfactory</el-button>
      </div>
      <p class="caution">On dead work only. Covers off means isolated, locked and proved dead.</p>
      <article
        v-for="item in items"
        :key="item.key"
        :class="field(`see.${item.key}`)"
        :data-testid="`item-${item.key}`"
      >
        <div class="row spread">
          <div>
            <b>{{ ITEM_TEXT[item.what].name }}</b> <span class="soft">{{ item.part }}</span>
            <p class="small soft">{{ ITEM_TEXT[item.what].look }}</p>
          </div>
          <div class="see">
            <button
              type="button"
              :class="{ on: field(`see.${item.key}`) === 'ok' }"
              :aria-pressed="field(`see.${item.key}`) === 'ok'"
              @click="write(`see.${item.key}`, field(`see.${item.key}`) === 'ok' ? '' : 'ok')"
            >
              in order</button
            ><button
              type="button"
              class="not"
              :class="{ on: isGraded(item) }"
              :aria-pressed="isGraded(item)"
              @click="write(`see.${item.key}`, isGraded(item) ? '' : 'improve')"
            >
              not
            </button>
          </div>
        </div>
        <div v-if="isGraded(item)" class="more">
          <div
            class="grades"
            role="radiogroup"
            :aria-label="`Grade of ${ITEM_TEXT[item.what].name}, ${item.part}`"
          >
            <button
              v-for="grade in GRADES"
              :key="grade"
              type="button"
              role="radio"
              :aria-checked="field(`see.${item.key}`) === grade"
              :class="{ on: field(`see.${item.key}`) === grade, [grade]: true }"
              @click="write(`see.${item.key}`, grade)"
            >
              {{ GRADE_NAME[grade] }}
            </button>
          </div>
          <div class="bank">
            <button
              v-for="text in ITEM_TEXT[item.what].remarks"
              :key="text"
              type="button"
              @click="remark(item, text)"
            >
              {{ text }}
            </button>
          </div>
          <el-input
            :model-value="field(`remark.${item.key}`)"
            type="textarea"
            :autosize="{ minRows: 1, maxRows: 4 }"
            maxlength="1000"
            :name="`remark.${item.key}`"
            :aria-label="`Remark, ${item.part}`"
            placeholder="What is to be seen"
            @update:model-value="write(`remark.${item.key}`, $event)"
          />
          <div class="row photos">
            <MarkedPhoto
              v-for="hash in photosOf(item)"
              :key="hash"
              :hash="hash"
              :spots="field(`spots.${hash.slice(0, 40)}`)"
              :locked="!view.mayChange"
              :name="`${ITEM_TEXT[item.what].name}, ${item.part}`"
              @mark="write(`spots.${hash.slice(0, 40)}`, $event)"
              @remove="
                write(
                  `photo.${item.key}`,
                  photosOf(item)
                    .filter((one) => one !== hash)
                    .join(' '),
                )
              "
            />
            <label class="camera"
              >Photo<input
                type="file"
                accept="image/*"
                capture="environment"
                :aria-label="`Photo of ${item.part}`"
                @change="addPhoto(item, $event)"
            /></label>
          </div>
        </div>
        <p
          v-if="item.torqueNm !== null && field(`see.${item.key}`)"
          class="torque"
          :class="{ bad: torqueOff(item) }"
        >
          <label
            >marked on it
            <input
              :value="field(`marked.${item.key}`)"
              :placeholder="`${item.torqueNm}`"
              :name="`marked.${item.key}`"
              maxlength="8"
              @input="write(`marked.${item.key}`, ($event.target as HTMLInputElement).value)" /></label
          ><label
            >tightened to
            <input
              :value="field(`torque.${item.key}`)"
              :name="`torque.${item.key}`"
              maxlength="8"
              @input="write(`torque.${item.key}`, ($event.target as HTMLInputElement).value)"
            />
            N·m</label
          >
        </p>
      </article>
    </fieldset>
    <fieldset v-else class="items" :disabled="!view.mayChange">
      <h1>Used and returned</h1>
      <p class="soft">What the stores laid out, what was used, and what goes back.</p>
      <table>
        <thead>
          <tr>
            <th>What</th>
            <th class="num">planned</th>
            <th class="num">used</th>
            <th class="num">back to stores</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in view.planned" :key="one.key">
            <th scope="row">{{ one.name }}</th>
            <td class="num mono">{{ one.planned }} {{ one.unit }}</td>
            <td class="num">
              <input
                :value="field(`used.${one.key}`)"
                :name="`used.${one.key}`"
                :aria-label="`Used: ${one.name}`"
                maxlength="8"
                @input="write(`used.${one.key}`, ($event.target as HTMLInputElement).value)"
              />
            </td>
            <td
              class="num mono"
              :class="{ bad: Number(field(`used.${one.key}`).replace(',', '.')) > one.planned }"
            >
              {{
                field(`used.${one.key}`) === ''
                  ? '–'
                  : `${Math.round((one.planned - Number(field(`used.${one.key}`).replace(',', '.'))) * 10) / 10} ${one.unit}`
              }}
            </td>
          </tr>
          <tr>
            <th scope="row">Time</th>
            <td class="num mono">{{ view.attempt.minutes }} min</td>
            <td class="num">
              <input
                :value="field('minutes.all')"
                name="minutes.all"
                aria-label="Minutes used"
                maxlength="6"
                @input="write('minutes.all', ($event.target as HTMLInputElement).value)"
              />
            </td>
            <td />
          </tr>
        </tbody>
      </table>
    </fieldset>
    <ConflictChooser
      :conflicts="autosave.conflicts.value"
      :name-of="(name) => name"
      title="Another device changed the same item"
      @choose="autosave.choose"
    />
  </div>
</template>

<style scoped>
.inspect {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
  flex: 1;
  min-height: 0;
}
nav {
  border-right: 1px solid var(--hem);
  padding: 16px;
  display: flex;
  flex-direction: column;
  gap: 6px;
  overflow: auto;
}
nav button {
  all: unset;
  cursor: pointer;
  min-height: 50px;
  padding: 0 12px;
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-left: 4px solid transparent;
}
nav button[aria-current='true'] {
  border-left-color: var(--indigo);
  background: var(--indigo-wash);
}
nav button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.open {
  color: var(--madder-text);
  font-weight: 800;
  margin-left: 8px;
}
.items {
  border: 0;
  margin: 0;
  min-width: 0;
  padding: 16px 24px 32px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 10px;
  background: var(--panel);
}
article {
  border: 1px solid var(--hem);
  border-left: 5px dotted var(--hem-strong);
  background: var(--raised);
  padding: 10px 14px;
}
article.ok {
  border-left: 5px solid var(--leaf);
}
article.danger,
article.potential {
  border-left: 5px solid var(--madder);
}
article.improve,
article.further {
  border-left: 5px dashed var(--turmeric);
}
.see {
  display: flex;
  gap: 6px;
}
.see button,
.grades button,
.bank button {
  min-height: 50px;
  min-width: 92px;
  border: 1.5px solid var(--hem-strong);
  background: transparent;
  color: var(--ink);
  font: 620 15.5px var(--font);
  border-radius: var(--ease);
  cursor: pointer;
  padding: 0 12px;
}
.see .on {
  background: var(--leaf);
  border-color: var(--leaf);
  color: var(--on-indigo);
}
.see .not.on {
  background: var(--madder);
  border-color: var(--madder);
  color: var(--on-madder);
}
.more {
  display: flex;
  flex-direction: column;
  gap: 8px;
  margin-top: 10px;
}
.grades,
.bank {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.grades .on {
  border: 2.5px solid var(--madder);
  font-weight: 740;
}
.bank button {
  min-height: 40px;
  font-weight: 500;
  font-size: 14.5px;
  border-style: dashed;
}
.torque {
  display: flex;
  gap: 18px;
  margin-top: 8px;
  color: var(--soft);
}
.torque input {
  width: 78px;
  min-height: 42px;
  font: 640 17px var(--mono);
  text-align: right;
  border: 1px solid var(--hem-strong);
  background: var(--panel);
  color: var(--ink);
  padding: 0 6px;
}
.bad,
.bad label {
  color: var(--madder-text);
}
.photos {
  align-items: flex-start;
  flex-wrap: wrap;
}
.camera {
  border: 1.5px dashed var(--indigo);
  color: var(--indigo-text);
  min-height: 50px;
  min-width: 92px;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  font-weight: 620;
  cursor: pointer;
}
.camera input {
  position: absolute;
  opacity: 0;
  width: 1px;
}
.camera:focus-within {
  outline: 2.5px solid var(--turmeric);
}
table {
  border-collapse: collapse;
  max-width: 760px;
}
th,
td {
  text-align: left;
  padding: 6px 12px 6px 0;
  border-bottom: 1px solid var(--hem);
}
.num {
  text-align: right;
}
table input {
  width: 90px;
  min-height: 42px;
  font: 620 17px var(--mono);
  text-align: right;
  border: 1px solid var(--hem-strong);
  background: var(--raised);
  color: var(--ink);
  padding: 0 8px;
}
@media (max-width: 900px) {
  .inspect {
    grid-template-columns: 1fr;
  }
  nav {
    border-right: 0;
  }
}
</style>
