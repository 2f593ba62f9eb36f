<script setup lang="ts">
import { ADDITIONS, adviseAddition, type Addition } from '#core/design/advisers/addition'
import { adviseRcd } from '#core/design/advisers/rcd'
import { bookOf } from '#core/regulations/book/book'
import { EDITIONS, EDITION_NAME, PRESENT_EDITION, editionOn, type Edition } from '#core/regulations/editions'
import type { Premises } from '#core/regulations/diversity'
import type { DcContent } from '#core/regulations/rcd'
import type { Arrangement, Use } from '#core/regulations/supply'
import { ADDITION_NAME, DUTY_TEXT, NEED_SENTENCE, RETROSPECTIVE_TEXT, WAY_TEXT } from '#words/advisers'
import { formatQuantity } from '#core/units/format'
import { DC_NAME, LOCATION_NAME, PREMISES_NAME, USE_NAME } from '#words/names'

/** Both advisers on one set of questions: the addition asks a few more and answers with duties as well. */
const props = defineProps<{ isAddition: boolean }>()

const day = ref<string>(new Date().toISOString().slice(0, 10))
const edition = ref<Edition>(editionOn(day.value) ?? PRESENT_EDITION)
// Older than the editions here: what new work needs is told apart from what was asked then.
watch(day, (picked) => (edition.value = editionOn(picked) ?? PRESENT_EDITION))
const isOlder = computed(() => Boolean(day.value) && editionOn(day.value) === undefined)
const form = reactive({
  use: 'sockets' as Use,
  rating: '32',
  premises: 'dwelling' as Premises,
  location: 'general' as 'general' | 'bathroom' | 'outdoors',
  concealed: false,
  arrangement: 'TN-C-S' as Arrangement,
  electrode: '100',
  dc: 'none' as DcContent,
  boardTakesRcbo: false,
  addition: 'single-to-twin' as Addition,
  earthingAdequate: true,
  hasRcd: false,
  isSpurOfSpur: false,
  isExisting: false,
})
const inForce = useBookInForce().data
const question = computed(() => ({
  edition: edition.value,
  book: bookOf(edition.value, inForce.value?.changes),
  use: form.use,
  premises: form.premises,
  location: form.location,
  concealed: form.concealed,
  supply: { arrangement: form.arrangement, zeOhm: Number(form.electrode) || 1 },
  ratingA: Number(form.rating),
  dc: form.dc,
  boardTakesRcbo: form.boardTakesRcbo,
  isAddition: props.isAddition,
  isExisting: !props.isAddition && form.isExisting,
}))
const addition = computed(() =>
  props.isAddition
    ? adviseAddition({
        ...question.value,
        addition: form.addition,
        earthingAdequate: form.earthingAdequate,
        hasRcd: form.hasRcd,
        isSpurOfSpur: form.isSpurOfSpur,
      })
    : null,
)
const advice = computed(() => addition.value?.residual ?? adviseRcd(question.value))
const TROUBLE = ['', 'little trouble', 'some trouble', 'much trouble']
const USES = Object.entries(USE_NAME).filter(([use]) => use !== 'distribution')
</script>

<template>
  <AdviserSheet data-testid="rule-adviser">
    <template #questions>
      <FormBox v-if="isAddition" name="What is added" wide
        ><el-select v-model="form.addition" data-testid="adviser-addition"
          ><el-option
            v-for="kind in ADDITIONS"
            :key="kind"
            :value="kind"
            :label="ADDITION_NAME[kind]" /></el-select
      ></FormBox>
      <FormBox name="Designed on"><DayPicker v-model="day" label="Designed on" /></FormBox>
      <FormBox name="Edition" wide
        ><el-select v-model="edition" data-testid="adviser-edition"
          ><el-option
            v-for="year in EDITIONS"
            :key="year"
            :value="year"
            :label="EDITION_NAME[year]" /></el-select
      ></FormBox>
      <FormBox name="The circuit feeds"
        ><el-select v-model="form.use" data-testid="adviser-use"
          ><el-option v-for="[use, name] in USES" :key="use" :value="use" :label="name" /></el-select
      ></FormBox>
      <FormBox name="Device rating" symbol="A"
        ><el-select v-model="form.rating"
          ><el-option
            v-for="rating in ['6', '10', '16', '20', '32', '40', '63']"
            :key="rating"
            :value="rating"
            :label="`${rating} A`" /></el-select
      ></FormBox>
      <FormBox name="Building"
        ><el-select v-model="form.premises" data-testid="adviser-premises"
          ><el-option v-for="(name, one) in PREMISES_NAME" :key="one" :value="one" :label="name" /></el-select
      ></FormBox>
      <FormBox name="Location"
        ><el-select v-model="form.location" data-testid="adviser-location"
          ><el-option v-for="(name, one) in LOCATION_NAME" :key="one" :value="one" :label="name" /></el-select
      ></FormBox>
      <FormBox name="Supply"
        ><el-select v-model="form.arrangement" data-testid="adviser-supply"
          ><el-option
            v-for="arrangement in ['TN-S', 'TN-C-S', 'TT']"
            :key="arrangement"
            :value="arrangement"
            :label="arrangement" /></el-select
      ></FormBox>
      <FormBox
        v-if="form.arrangement === 'TT'"
        name="Electrode"
        symbol="Ω"
        :problem="Number(form.electrode) > 0 ? undefined : 'Write a number in Ω.'"
        ><el-input v-model="form.electrode" name="electrode"
      /></FormBox>
      <FormBox name="Direct current from the load"
        ><el-select v-model="form.dc"
          ><el-option v-for="(name, one) in DC_NAME" :key="one" :value="one" :label="name" /></el-select
      ></FormBox>
      <div class="ticks">
        <el-checkbox v-model="form.concealed" label="Cable in a wall, less than 50 mm deep, unprotected" />
        <el-checkbox v-model="form.boardTakesRcbo" label="The board takes an RCBO" />
        <el-checkbox
          v-if="!isAddition"
          v-model="form.isExisting"
          label="No new work: the circuit is there already"
          data-testid="adviser-existing"
        />
        <template v-if="isAddition">
          <el-checkbox
            v-model="form.earthingAdequate"
            label="Earthing and bonding are adequate"
          /><el-checkbox v-model="form.hasRcd" label="The circuit has a 30 mA device already" />
          <el-checkbox
            v-if="form.addition === 'single-to-twin'"
            v-model="form.isSpurOfSpur"
            label="The socket is a spur that already feeds another"
          />
        </template>
      </div>
    </template>
    <template #answer>
      <div class="advice" data-testid="advice">
        <RightThen v-if="isOlder" :day="day" />
        <template v-if="addition">
          <h2>What falls due</h2>
          <ol class="duties">
            <li v-for="{ duty, mustComeFirst } in addition.duties" :key="duty">
              <span v-if="mustComeFirst" class="tag stop">first</span> {{ DUTY_TEXT[duty] }}
            </li>
          </ol>
        </template>
        <h2>
          <template v-if="advice.neededA > 0"
            >Yes: an RCD of at most {{ formatQuantity(advice.neededA, 'residualCurrent') }}, type
            {{ advice.type }} or better</template
          ><template v-else-if="advice.isRetrospective">Nothing is asked retrospectively</template
          ><template v-else>No rule here asks for an RCD</template>
        </h2>
        <p v-if="advice.isRetrospective">
          {{ RETROSPECTIVE_TEXT }}
        </p>
        <ul class="reasons">
          <li v-for="need in advice.needs" :key="need.code">
            <b class="mono">{{ need.regulation }}</b> {{ NEED_SENTENCE[need.code] }}
          </li>
        </ul>
        <p v-if="advice.isRecommended" class="soft">
          Many fit one all the same: it costs little and hand-held appliances are plugged in here.
        </p>
        <p v-if="advice.neededA === 0" class="soft">
          That an edition does not ask for one says nothing about a real circuit’s condition.
        </p>
        <template v-if="advice.ways.length">
          <h2>Ways to provide it</h2>
          <div v-for="{ way, inconvenience } in advice.ways" :key="way" class="way">
            <b>{{ WAY_TEXT[way].name }}</b>
            <span
              class="tag"
              :class="inconvenience === 1 ? 'met' : inconvenience === 2 ? 'waiting' : 'stop'"
              >{{ TROUBLE[inconvenience] }}</span
            >
            <p>{{ WAY_TEXT[way].cost }}</p>
          </div>
        </template>
        <p class="small soft">
          For training. Work on real installations is for competent people under the current regulations,
          local codes and the rules of the centre.
        </p>
      </div>
    </template>
  </AdviserSheet>
</template>

<style scoped>
.ticks {
  grid-column: 1 / -1;
  display: flex;
  flex-direction: column;
}
.ticks :deep(.el-checkbox) {
  white-space: normal;
  height: auto;
  min-height: 34px;
}
.advice {
  display: contents;
}
.duties {
  margin: 0;
  padding-left: 22px;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.reasons {
  margin: 0;
  padding: 0;
  list-style: none;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.way {
  border-top: 1px solid var(--hem);
  padding-top: 8px;
}
</style>
