<script setup lang="ts">
import { COLOURS, type Colour } from '#core/bay/model/rig'
import { COLOUR_MARK, COLOUR_VAR } from '~/texts/bay'
import { AREAS } from '~/utils/areas'

/** Size and colour of a conductor, a touch each. */
const props = defineProps<{
  area: number
  colour: Colour
  /** Which conductor, where it is not the next one. */ about?: string
}>()
const emit = defineEmits<{ area: [mm2: number]; colour: [colour: Colour] }>()
const label = (what: string) => (props.about ? `${what}, ${props.about}` : what)
</script>

<template>
  <ChoiceRow
    class="sizes"
    :label="label('Size, mm²')"
    :choices="AREAS"
    :chosen="area"
    @choose="emit('area', $event)"
  >
    <template v-if="!about" #unit><span class="unit">mm²</span></template>
  </ChoiceRow>
  <ChoiceRow
    class="colours"
    :label="label('Colour')"
    :choices="COLOURS"
    :chosen="colour"
    :name-of="(choice) => choice"
    @choose="emit('colour', $event)"
  >
    <template #default="{ choice }">
      <i :class="{ banded: choice === 'green-and-yellow' }" :style="{ background: COLOUR_VAR[choice] }" />{{
        COLOUR_MARK[choice]
      }}
    </template>
  </ChoiceRow>
</template>

<style scoped>
.sizes {
  --choice-width: 37px;
  --choice-pad: 5px;
  --choice-font: var(--strong) 15px var(--mono);
}
.colours {
  --choice-width: 40px;
  --choice-pad: 7px;
  --choice-font: var(--strong) 12.5px var(--mono);
}
.unit {
  padding: 0 7px;
  font-size: 14px;
  color: var(--soft);
}
i {
  width: 9px;
  height: 26px;
  border-radius: 2px;
  border: 1px solid var(--hem-strong);
}
i.banded {
  background: repeating-linear-gradient(
    var(--conductor-e) 0 6px,
    var(--conductor-e-band) 6px 12px
  ) !important;
}
</style>
