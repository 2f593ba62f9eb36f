<script setup lang="ts">
import type { AccountView } from '#schemas/evidence-views'
import { REFUSALS } from '#words/evidence/account'
import { marginOf, type MarginClaim } from '~/composables/useAccount'

/** An account as an assessor reads it: what was handed in, each claim accepted or refused with a reason. */
const { id, account } = defineProps<{
  id: number
  account: ReturnType<typeof useKeptDocument<AccountView>>
}>()
const { call } = useApi()
const { isBusy, act } = useAct()
const mayDecide = ['instructor', 'assessor'].includes(useSession().person!.role)
const view = computed(() => account.view.value!)
const chosen = ref<number | null>(null)
const handIn = computed(
  () => view.value.handIns.find((one) => one.id === chosen.value) ?? view.value.handIns.at(-1),
)
const isLast = computed(() => handIn.value?.id === view.value.handIns.at(-1)?.id)
const margin = computed(() => (handIn.value ? marginOf({ ...handIn.value.fields }, view.value) : []))
const reasons = reactive<Record<string, string>>({})
const criterionOf = (code: string) => view.value.criteria.find((one) => one.code === code)
/** Accepted stays accepted; a refusal is of the hand-in that it was about. */
const isDecided = ({ decisions }: MarginClaim) =>
  decisions.at(-1)?.met === true || decisions.at(-1)?.handInId === handIn.value?.id
const decide = (claim: MarginClaim, met: boolean) =>
  act(async () => {
    account.adopt(
      await call<AccountView>('POST', `accounts/${id}/claim`, {
        handInId: handIn.value!.id,
        claim: claim.token,
        met,
        reason: reasons[claim.token] ?? '',
      }),
    )
    reasons[claim.token] = ''
  })
const text = computed(() => handIn.value?.fields.text ?? '')
</script>

<template>
  <div class="stack">
    <div class="row spread">
      <div>
        <h1>{{ handIn?.fields.title || 'Account' }}</h1>
        <p class="soft">{{ view.person }}</p>
      </div>
      <el-select
        v-if="view.handIns.length > 1"
        :model-value="handIn?.id"
        aria-label="Version"
        style="width: 260px"
        @update:model-value="chosen = $event"
      >
        <el-option
          v-for="one in view.handIns"
          :key="one.id"
          :value="one.id"
          :label="`Handed in ${dayTime(one.at)}`"
        />
      </el-select>
    </div>
    <div v-if="!handIn" class="empty"><h2>Not handed in yet</h2></div>
    <template v-else>
      <AccountHead :fields="{ ...handIn.fields }" :domestic="view.domestic" is-read-only />
      <div class="columns">
        <div class="stack">
          <AccountText
            :key="handIn.id"
            :model-value="text"
            :quotes="margin.map((claim) => claim.quote)"
            is-read-only
          />
          <AccountMeasures :fields="{ ...handIn.fields }" is-read-only />
          <AccountFiles :fields="{ ...handIn.fields }" is-read-only />
          <AccountWitnesses :id="id" :witnesses="view.witnesses" is-read-only />
        </div>
        <aside class="stack" aria-label="Claims">
          <ClaimCard
            v-for="claim in margin"
            :key="claim.token"
            :claim="claim"
            :criterion="criterionOf(claim.criterion)"
          >
            <p v-if="handIn.fields[`answer.${claim.token}`]" class="answer">
              <b>Their answer:</b> {{ handIn.fields[`answer.${claim.token}`] }}
            </p>
            <ClaimDiscussion
              v-if="mayDecide && isLast"
              :id="id"
              :claim="claim"
              @held="account.adopt($event)"
            />
            <div v-if="mayDecide && isLast && !isDecided(claim)" class="stack">
              <div class="chips">
                <button
                  v-for="reason in REFUSALS"
                  :key="reason"
                  type="button"
                  class="chip"
                  :aria-pressed="reasons[claim.token] === reason"
                  @click="reasons[claim.token] = reason"
                >
                  {{ reason }}
                </button>
              </div>
              <el-input
                v-model="reasons[claim.token]"
                type="textarea"
                autosize
                placeholder="Reason, in your words"
                :aria-label="`Reason for ${claim.criterion}`"
                :name="`reason-${claim.criterion}`"
              />
              <div class="row">
                <el-button type="primary" :loading="isBusy" data-testid="accept" @click="decide(claim, true)"
                  >Accept</el-button
                >
                <el-button
                  :disabled="!reasons[claim.token]?.trim()"
                  :loading="isBusy"
                  data-testid="refuse"
                  @click="decide(claim, false)"
                  >Refuse with this reason</el-button
                >
              </div>
            </div>
          </ClaimCard>
        </aside>
      </div>
    </template>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 22px;
  align-items: start;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.chip {
  padding: 4px 10px;
  border: 1px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--panel);
  color: var(--ink);
  font-size: 13.5px;
  text-align: left;
  cursor: pointer;
}
.chip[aria-pressed='true'] {
  background: var(--madder-wash);
  color: var(--madder-text);
  border-color: var(--madder);
}
.answer {
  border-left: 4px solid var(--indigo);
  padding-left: 10px;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
