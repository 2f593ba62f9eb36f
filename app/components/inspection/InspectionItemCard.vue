<script setup lang="ts">
import { GRADES, type InspectionItem } from '#core/inspection/items'
import { ITEM_PICTURE, itemPicture } from '#core/inspection/item-picture'
import { GRADE_NAME, ITEM_TEXT } from '#words/inspection'

/** One thing to look at: in order or not, its grade, a remark, pictures, and the torque of its screws. */
const props = defineProps<{
  item: InspectionItem
  field: (name: string) => string
  locked: boolean
  isTorqueOff: boolean
}>()
const emit = defineEmits<{ write: [name: string, text: string] }>()
const isGraded = computed(() => (GRADES as readonly string[]).includes(props.field(`see.${props.item.key}`)))
const photos = computed(() => props.field(`photo.${props.item.key}`).split(' ').filter(Boolean))
const pictures = usePictures()
async function addPhoto(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  const hash = file ? await pictures.keep(file) : null
  if (hash) emit('write', `photo.${props.item.key}`, [...new Set([...photos.value, hash])].join(' '))
}
/** Adds a sentence of the bank, once. */
function remark(text: string) {
  const before = props.field(`remark.${props.item.key}`)
  if (!before.includes(text))
    emit('write', `remark.${props.item.key}`, [before.trim(), text].filter(Boolean).join('. '))
}
</script>

<template>
  <article :class="field(`see.${item.key}`)" :data-testid="`item-${item.key}`">
    <div class="row spread head">
      <svg class="drawn picture" :viewBox="`0 0 ${ITEM_PICTURE.w} ${ITEM_PICTURE.h}`" aria-hidden="true">
        <DrawnShapes :shapes="itemPicture(item.what)" />
      </svg>
      <div class="what">
        <b>{{ ITEM_TEXT[item.what].name }}</b> <span class="soft">{{ item.part }}</span>
        <p class="small soft">{{ ITEM_TEXT[item.what].look }}</p>
      </div>
      <div class="see">
        <button
          type="button"
          :class="{ on: field(`see.${item.key}`) === 'ok' }"
          :aria-pressed="field(`see.${item.key}`) === 'ok'"
          @click="emit('write', `see.${item.key}`, field(`see.${item.key}`) === 'ok' ? '' : 'ok')"
        >
          in order</button
        ><button
          type="button"
          class="not"
          :class="{ on: isGraded }"
          :aria-pressed="isGraded"
          @click="emit('write', `see.${item.key}`, isGraded ? '' : 'improve')"
        >
          not
        </button>
      </div>
    </div>
    <div v-if="isGraded" class="more">
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
          @click="emit('write', `see.${item.key}`, grade)"
        >
          {{ GRADE_NAME[grade] }}
        </button>
      </div>
      <div class="bank">
        <button v-for="text in ITEM_TEXT[item.what].remarks" :key="text" type="button" @click="remark(text)">
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
        @update:model-value="emit('write', `remark.${item.key}`, $event)"
      />
      <div class="row photos">
        <MarkedPhoto
          v-for="hash in photos"
          :key="hash"
          :hash="hash"
          :spots="field(`spots.${hash.slice(0, 40)}`)"
          :locked="locked"
          :name="`${ITEM_TEXT[item.what].name}, ${item.part}`"
          @mark="emit('write', `spots.${hash.slice(0, 40)}`, $event)"
          @remove="emit('write', `photo.${item.key}`, photos.filter((photo) => photo !== hash).join(' '))"
        />
        <label class="camera"
          >Photo<input
            type="file"
            accept="image/*"
            capture="environment"
            :aria-label="`Photo of ${item.part}`"
            @change="addPhoto"
        /></label>
      </div>
    </div>
    <p v-if="item.torqueNm !== null && field(`see.${item.key}`)" class="torque" :class="{ bad: isTorqueOff }">
      <label
        >marked on it
        <el-input
          :model-value="field(`marked.${item.key}`)"
          :placeholder="`${item.torqueNm}`"
          :name="`marked.${item.key}`"
          maxlength="8"
          @update:model-value="emit('write', `marked.${item.key}`, $event)" /></label
      ><label
        >tightened to
        <el-input
          :model-value="field(`torque.${item.key}`)"
          :name="`torque.${item.key}`"
          maxlength="8"
          @update:model-value="emit('write', `torque.${item.key}`, $event)"
        />
        N·m</label
      >
    </p>
  </article>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
.head {
  flex-wrap: nowrap;
}
.picture {
  flex: none;
  width: 92px;
  border-radius: var(--ease);
  overflow: hidden;
}
.what {
  flex: 1;
}
@media (max-width: 560px) {
  .picture {
    display: none;
  }
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
  font: var(--strong) 15.5px var(--font);
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
  font-weight: var(--heavy);
}
.bank button {
  min-height: 40px;
  font-weight: var(--mid);
  font-size: 14.5px;
  border-style: dashed;
}
.torque {
  display: flex;
  gap: 18px;
  margin-top: 8px;
  color: var(--soft);
}
.torque .el-input {
  width: 96px;
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
  font-weight: var(--strong);
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
</style>
