<script setup lang="ts">
interface Choice {
  readonly key: string
  readonly name: string
  readonly options: readonly {
    readonly value: string | number
    readonly name: string
    readonly reason: string
  }[]
}

/** Schools that a centre chooses between, each with its reason. */
defineProps<{ choices: readonly Choice[]; chosen: Readonly<Record<string, unknown>>; disabled: boolean }>()
const emit = defineEmits<{ choose: [key: string, value: string | number] }>()
</script>

<template>
  <div class="policies">
    <fieldset v-for="choice in choices" :key="choice.key" class="stitched">
      <legend>{{ choice.name }}</legend>
      <label v-for="option in choice.options" :key="String(option.value)" class="policy">
        <input
          type="radio"
          :name="choice.key"
          :value="option.value"
          :checked="chosen[choice.key] === option.value"
          :disabled="disabled"
          @change="emit('choose', choice.key, option.value)"
        />
        <span
          ><b>{{ option.name }}</b> <span class="soft small">{{ option.reason }}</span></span
        >
      </label>
    </fieldset>
  </div>
</template>

<style scoped>
.policies {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 12px;
}
fieldset {
  margin: 0;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
legend {
  font-weight: var(--heavy);
  padding: 0 6px;
}
.policy {
  display: flex;
  gap: 12px;
  cursor: pointer;
  align-items: flex-start;
}
.policy input {
  flex: none;
  width: 20px;
  height: 20px;
  accent-color: var(--indigo);
}
</style>
