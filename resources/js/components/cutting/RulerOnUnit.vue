<script setup lang="ts">
import { computed } from 'vue'
import type { Place, UnitToMake } from '@/api/types'
import { pointsText } from '@/drawing/geometry'

/** A sewn unit to be squared up: raw edges, the finished unit inside them, and the lines of the ruler. */
const props = defineProps<{ ruler: UnitToMake['ruler']; patches: { color: string; points: Place[] }[] }>()

const inner = computed(() => ({ width: props.ruler.width - 2 * props.ruler.allowance, height: props.ruler.height - 2 * props.ruler.allowance }))
const size = computed(() => Math.max(props.ruler.width, props.ruler.height))
/** Seams that run on to the raw corners are drawn so; the middle of the unit stays where it is. */
const reach = (share: number, whole: number, within: number) => (share === 0 ? 0 : share === 1 ? whole : props.ruler.allowance + share * within)
const flush = ([x, y]: Place): Place => [reach(x, props.ruler.width, inner.value.width), reach(y, props.ruler.height, inner.value.height)]
const at = ([x, y]: Place): Place => [props.ruler.allowance + x * inner.value.width, props.ruler.allowance + y * inner.value.height]
</script>

<template>
  <svg class="ruler-on-unit" :viewBox="`${-size * 0.06} ${-size * 0.06} ${ruler.width + size * 0.12} ${ruler.height + size * 0.12}`" role="img" :aria-label="`Square up: ${ruler.words}`">
    <polygon v-for="(patch, i) in patches" :key="i" :points="pointsText(patch.points.map(ruler.isFlush ? flush : at))" :fill="patch.color" :stroke="patch.color" :stroke-width="ruler.isFlush ? 0 : ruler.allowance * 2" />
    <rect class="over" :x="-size" :y="-size" :width="size * 4" :height="size" />
    <rect class="over" :x="-size" :y="ruler.height" :width="size * 4" :height="size" />
    <rect class="over" :x="-size" :y="-size" :width="size" :height="size * 4" />
    <rect class="over" :x="ruler.width" :y="-size" :width="size" :height="size * 4" />
    <polygon v-for="(patch, i) in ruler.isFlush ? [] : patches" :key="`inner${i}`" :points="pointsText(patch.points.map(at))" :fill="patch.color" />
    <rect class="raw" :width="ruler.width" :height="ruler.height" :stroke-width="size * 0.016" />
    <rect class="finished" :x="ruler.allowance" :y="ruler.allowance" :width="inner.width" :height="inner.height" :stroke-width="size * 0.01" :stroke-dasharray="`${size * 0.03} ${size * 0.02}`" />
    <g v-for="([from, to], i) in ruler.guides" :key="`guide${i}`">
      <line class="halo" :x1="from[0] * ruler.width" :y1="from[1] * ruler.height" :x2="to[0] * ruler.width" :y2="to[1] * ruler.height" :stroke-width="size * 0.04" />
      <line class="guide" :x1="from[0] * ruler.width" :y1="from[1] * ruler.height" :x2="to[0] * ruler.width" :y2="to[1] * ruler.height" :stroke-width="size * 0.018" />
    </g>
    <circle v-if="ruler.tip" class="tip" :cx="ruler.tip[0] * ruler.width" :cy="ruler.tip[1] * ruler.height" :r="size * 0.05" :stroke-width="size * 0.02" />
  </svg>
</template>

<style scoped>
.ruler-on-unit {
  display: block;
  width: 100%;
  max-height: 150px;
  overflow: hidden;
}

.over {
  fill: var(--ground);
}

.raw {
  fill: none;
  stroke: var(--ink);
}

.finished {
  fill: none;
  stroke: #fff;
}

.halo {
  stroke: #fff;
}

.guide {
  stroke: var(--brick);
}

.tip {
  fill: #fff;
  fill-opacity: 0.6;
  stroke: var(--brick);
}
</style>
