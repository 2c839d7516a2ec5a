<script setup lang="ts">
import { computed } from 'vue'

/** Progress as a row of stitches: sewn ones solid thread, those to come pale. */
const props = defineProps<{ done: number; all: number; label: string }>()

const share = computed(() => (props.all === 0 ? 0 : Math.min(1, props.done / props.all)))
</script>

<template>
  <div class="stitch-line" role="progressbar" :aria-label="label" aria-valuemin="0" :aria-valuemax="all" :aria-valuenow="done">
    <div class="to-come" />
    <div class="sewn" :style="{ width: `${share * 100}%` }" />
  </div>
</template>

<style scoped>
.stitch-line {
  position: relative;
  height: 5px;
}

.to-come,
.sewn {
  position: absolute;
  inset: 0 auto 0 0;
  width: 100%;
  background: repeating-linear-gradient(90deg, var(--thread-rest) 0 10px, transparent 10px 16px);
}

.sewn {
  background: repeating-linear-gradient(90deg, var(--thread) 0 10px, transparent 10px 16px);
}
</style>
