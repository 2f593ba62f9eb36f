<script setup lang="ts">
import { CLAIM_KINDS, accountProblems } from '#core/assessment/portfolio/account'
import type { EvidenceKind } from '#core/assessment/outcomes/kinds'
import type { AccountView } from '#schemas/evidence-views'
import { accountProblemSays } from '#words/evidence/account'
import { KIND_TEXT } from '#words/evidence/labels'
import { marginOf, useClaims } from '~/composables/useAccount'

/** An account as its writer has it: text on the left, claims in the margin. */
const { id, account } = defineProps<{
  id: number
  account: ReturnType<typeof useKeptDocument<AccountView>>
}>()
const { view, autosave, adopt } = account
const { call } = useApi()
const { isBusy, act } = useAct()
const claims = useClaims(autosave)
const shown = computed(() => view.value!)
const margin = computed(() => marginOf(autosave.fields, shown.value))
const text = computed({
  get: () => autosave.fields.text ?? '',
  set: (next: string) => autosave.write('text', next),
})
const quote = ref('')
const criterion = ref('')
const kind = ref<EvidenceKind>('written')
const criterionOf = (code: string) => shown.value.criteria.find((one) => one.code === code)
const kinds = computed(() => {
  const allowed = criterionOf(criterion.value)?.kinds ?? []
  return CLAIM_KINDS.filter((one) => allowed.length === 0 || allowed.includes(one))
})
watch(kinds, (now) => {
  if (!now.includes(kind.value)) kind.value = now[0] ?? 'written'
})
const isSame = computed(() =>
  margin.value.some((claim) => claim.criterion === criterion.value && claim.quote === quote.value),
)
function claimIt() {
  claims.claim(quote.value, criterion.value, kind.value)
}
const handIn = () =>
  act(async () => {
    const version = await autosave.flush()
    if (autosave.state.value !== 'saved')
      throw new ApiProblem(
        0,
        'offline',
        autosave.message.value || 'This could not be saved yet. Nothing is lost.',
      )
    adopt(await call<AccountView>('POST', `accounts/${id}/hand-in`, { version }))
    ElMessage({
      type: 'success',
      message: 'Handed in. What you write from now on is for the next time.',
      showClose: true,
    })
  })
/** What is still missing, said while it is written and not only when it is handed in. */
const missing = computed(() => {
  const codes = new Set(shown.value.criteria.map(({ code }) => code))
  return accountProblems(autosave.fields, codes, new Date().toISOString().slice(0, 10)).map(
    accountProblemSays,
  )
})
const lastHandIn = computed(() => shown.value.handIns.at(-1))
</script>

<template>
  <div class="stack">
    <div class="row spread">
      <div>
        <h1>{{ autosave.fields.title || 'Account of work elsewhere' }}</h1>
        <p v-if="lastHandIn" class="soft small">Handed in {{ dayTime(lastHandIn.at) }}</p>
      </div>
      <div class="row">
        <SaveWords :autosave="autosave" />
        <el-button
          type="primary"
          :disabled="missing.length > 0"
          :loading="isBusy"
          data-testid="hand-in"
          @click="handIn"
          >{{ lastHandIn ? 'Hand in again' : 'Hand in' }}</el-button
        >
      </div>
    </div>
    <ul v-if="missing.length" class="soft small missing" data-testid="still-missing">
      <li v-for="says in missing" :key="says">{{ says }}</li>
    </ul>
    <AccountHead :fields="autosave.fields" :domestic="shown.domestic" @write="autosave.write" />
    <div class="columns">
      <div class="stack">
        <AccountText v-model="text" :quotes="margin.map((claim) => claim.quote)" @select="quote = $event" />
        <AccountMeasures :fields="autosave.fields" @write="autosave.write" />
        <AccountFiles :fields="autosave.fields" @write="autosave.write" />
        <AccountWitnesses :id="id" :witnesses="shown.witnesses" @asked="account.load" />
      </div>
      <aside class="stack" aria-label="Claims">
        <section class="stitched stack">
          <h2>Claim a passage</h2>
          <p v-if="!quote" class="soft small">
            Select the words that show it, then say which criterion they meet.
          </p>
          <p v-else class="quote" data-testid="selected">“{{ quote }}”</p>
          <el-select
            v-model="criterion"
            filterable
            placeholder="Criterion"
            aria-label="Criterion"
            data-testid="claim-criterion"
          >
            <el-option
              v-for="one in shown.criteria"
              :key="one.code"
              :value="one.code"
              :label="`${one.code} ${one.text}`"
            />
          </el-select>
          <el-select v-model="kind" aria-label="As which kind of evidence" data-testid="claim-kind">
            <el-option v-for="one in kinds" :key="one" :value="one" :label="`as ${KIND_TEXT[one]}`" />
          </el-select>
          <el-button
            type="primary"
            :disabled="!quote || !criterion || isSame"
            data-testid="claim"
            @click="claimIt"
            >Claim</el-button
          >
          <p v-if="isSame" class="soft small">
            These words are claimed for it already: one occasion counts once.
          </p>
        </section>
        <ClaimCard
          v-for="claim in margin"
          :key="claim.token"
          :claim="claim"
          :criterion="criterionOf(claim.criterion)"
        >
          <label v-if="claim.decisions.at(-1)?.met === false" class="field"
            ><span>Your answer</span
            ><el-input
              :model-value="autosave.fields[`answer.${claim.token}`]"
              type="textarea"
              autosize
              :name="`answer-${claim.criterion}`"
              @update:model-value="autosave.write(`answer.${claim.token}`, $event)"
          /></label>
          <button type="button" class="text-button" @click="claims.drop(claim.token)">
            Remove this claim
          </button>
        </ClaimCard>
        <p v-if="margin.length === 0" class="soft small">
          No passage is claimed yet. Not shown is not assumed.
        </p>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.missing {
  columns: 2;
  margin: 0;
  padding-left: 18px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 22px;
  align-items: start;
}
aside {
  position: sticky;
  top: 12px;
  max-height: calc(100vh - 24px);
  overflow: auto;
}
.quote {
  max-height: 6.4em;
  overflow: auto;
  line-height: 1.35;
}
.text-button {
  justify-self: start;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: 1fr;
  }
  aside {
    position: static;
    max-height: none;
  }
}
</style>
