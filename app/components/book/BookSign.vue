<script setup lang="ts">
import { EDITION_NAME, type Edition } from '#core/regulations/editions'
import type { BookView } from '#schemas/book-views'
import { dayText } from '#words/day'

/** Signs the list of checked values by name and PIN, and shows the lists signed before. */
const { view, edition } = defineProps<{ view: BookView; edition: Edition }>()
const emit = defineEmits<{ view: [view: BookView] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const name = ref(useSession().person?.name ?? '')
const pin = ref('')
const sign = () =>
  act(async () => {
    const body = { edition, name: name.value, pin: pin.value, seen: view.seen }
    emit('view', await call<BookView>('POST', 'book/sign', body))
    ElMessage({ type: 'success', message: 'The list is signed.' })
  }).then(() => (pin.value = ''))
</script>

<template>
  <form class="row" @submit.prevent="sign">
    <FormBox name="Name"><el-input v-model="name" name="sign-name" autocomplete="name" /></FormBox>
    <FormBox name="PIN"
      ><el-input v-model="pin" name="sign-pin" type="password" inputmode="numeric" autocomplete="off"
    /></FormBox>
    <el-button native-type="submit" type="primary" :loading="isBusy" :disabled="!name || !pin"
      >Sign the list</el-button
    >
  </form>
  <ul v-if="view.lists.length" class="plain">
    <li v-for="list in view.lists" :key="list.id">
      <a :href="`/api/book/lists/${list.id}`" download
        >{{ EDITION_NAME[list.edition] }}: {{ list.values }} values, signed by {{ list.by }},
        {{ dayText(list.at) }}</a
      >
      <span class="soft mono small"> {{ list.hash.slice(0, 12) }}</span>
    </li>
  </ul>
</template>

<style scoped>
.plain {
  margin: 0;
  padding-left: 18px;
}
</style>
