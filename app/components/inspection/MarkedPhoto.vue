<script setup lang="ts">
/**
 * A picture with rings where something is to be seen; a tap sets one, a tap on a ring takes it away. Kept as
 * shares of the picture.
 */
const props = defineProps<{ hash: string; spots: string; locked: boolean; name: string }>()
const emit = defineEmits<{ mark: [spots: string]; remove: [] }>()
const NEAR = 0.05
/** The centre keeps pictures for so many years. */
const isGone = ref(false)
const rings = computed(() =>
  props.spots
    .split(' ')
    .filter(Boolean)
    .map((text) => {
      const [x, y] = text.split('-').map(Number)
      return { x: (x ?? 0) / 1000, y: (y ?? 0) / 1000, text }
    }),
)
function tap(event: MouseEvent) {
  if (props.locked) return
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  const at = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height }
  const near = rings.value.find(({ x, y }) => Math.hypot(x - at.x, y - at.y) < NEAR)
  emit(
    'mark',
    near
      ? rings.value
          .filter((ring) => ring !== near)
          .map(({ text }) => text)
          .join(' ')
      : [
          ...rings.value.map(({ text }) => text),
          `${Math.round(at.x * 1000)}-${Math.round(at.y * 1000)}`,
        ].join(' '),
  )
}
</script>

<template>
  <figure>
    <div class="frame" @click="tap">
      <p v-if="isGone" class="gone soft small">This picture is no longer kept.</p>
      <img v-else :src="`/api/photos/${hash}`" :alt="`Photo: ${name}`" @error="isGone = true" /><span
        v-for="ring in rings"
        :key="ring.text"
        class="ring"
        :style="{ left: `${ring.x * 100}%`, top: `${ring.y * 100}%` }"
      />
    </div>
    <button v-if="!locked" type="button" class="plain" @click="emit('remove')">Take it away</button>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  width: 230px;
}
.frame {
  position: relative;
  cursor: crosshair;
  line-height: 0;
}
.gone {
  margin: 0;
  padding: 24px 12px;
  line-height: 1.4;
  border: 1.5px dashed var(--hem-strong);
}
img {
  width: 100%;
  border: 1px solid var(--hem-strong);
}
.ring {
  position: absolute;
  width: 34px;
  height: 34px;
  margin: -17px 0 0 -17px;
  border: 4px solid var(--madder);
  border-radius: 50%;
  box-shadow: 0 0 0 2px #fff;
}
.plain {
  all: unset;
  cursor: pointer;
  color: var(--indigo-text);
  text-decoration: underline;
  font-size: 14px;
  min-height: 32px;
}
.plain:focus-visible {
  outline: 2.5px solid var(--indigo);
}
</style>
