<script setup lang="ts">
import type { Fields } from '~/utils/document-shapes'

/** Photographs with what is to be seen ringed, and pages of what was used. */
const { fields, isReadOnly = false } = defineProps<{ fields: Fields; isReadOnly?: boolean }>()
const emit = defineEmits<{ write: [name: string, text: string] }>()
const pictures = usePictures()
const pages = useAccountPages()
const { isBusy, act } = useAct()
/** A picture without rings still has a word of its own: an empty box is no picture. */
const PLAIN = '-'
const spotsOf = (text: string) => text.replace(/^-\s*/, '')
const filesOf = (prefix: string) =>
  Object.entries(fields)
    .filter(([name, text]) => name.startsWith(`${prefix}.`) && text !== '')
    .map(([name, text]) => ({ hash: name.slice(prefix.length + 1), text }))
const photos = computed(() => filesOf('photo'))
const papers = computed(() => filesOf('page'))
function chosen(event: Event): File | undefined {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  input.value = ''
  return file
}
async function addPhoto(event: Event) {
  const file = chosen(event)
  const hash = file && (await pictures.keep(file))
  if (hash) emit('write', `photo.${hash}`, PLAIN)
}
async function addPage(event: Event) {
  const file = chosen(event)
  if (file)
    await act(async () => {
      const hash = await pages.keep(file)
      emit('write', `page.${hash}`, file.name.slice(0, 120))
    })
}
</script>

<template>
  <section
    v-if="!isReadOnly || photos.length || papers.length"
    class="stack"
    aria-label="Photographs and pages"
  >
    <h2>Photographs and pages</h2>
    <p v-if="!isReadOnly" class="soft small">
      Your own work in stages, with something that ties it to place and date. No faces, no addresses. Of
      drawings, specification and instructions: the page that you used.
    </p>
    <div class="row photos">
      <MarkedPhoto
        v-for="{ hash, text } in photos"
        :key="hash"
        :hash="hash"
        :spots="spotsOf(text)"
        :locked="isReadOnly"
        name="Photograph of the work"
        @mark="(spots) => emit('write', `photo.${hash}`, `${PLAIN} ${spots}`.trim())"
        @remove="emit('write', `photo.${hash}`, '')"
      />
    </div>
    <p v-for="{ hash, text } in papers" :key="hash" class="row small">
      <a :href="`/api/pages/${hash}`" download>{{ text }}</a>
      <button v-if="!isReadOnly" type="button" class="text-button" @click="emit('write', `page.${hash}`, '')">
        Remove
      </button>
    </p>
    <div v-if="!isReadOnly" class="row">
      <label class="el-button file"
        >Add a photograph<input type="file" accept="image/*" data-testid="add-photo" @change="addPhoto"
      /></label>
      <label class="el-button file" :class="{ 'is-loading': isBusy }"
        >Add a page (PDF)<input
          type="file"
          accept="application/pdf,.pdf"
          data-testid="add-page"
          @change="addPage"
      /></label>
    </div>
  </section>
</template>

<style scoped>
.photos {
  align-items: start;
}
.file {
  position: relative;
  overflow: hidden;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
</style>
