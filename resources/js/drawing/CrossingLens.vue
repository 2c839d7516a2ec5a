<script setup lang="ts">
import { computed, useId } from 'vue'
import type { FlapShown, JunctionShown } from '@/api/types'
import { fromTheBack, plyRuns, pointsText } from './geometry'

const props = defineProps<{ junction: JunctionShown; flaps: FlapShown[]; width: number; inchesPerUnit: number }>()

const clip = useId()
/** The lens shows cloth this far round the junction. */
const radius = computed(() => 0.42 / props.inchesPerUnit)
const at = computed(() => [props.width - props.junction.at[0], props.junction.at[1]] as const)
const near = computed(() =>
  props.flaps
    .filter((flap) => {
      const [xs, ys] = [flap.points.map((p) => p[0]), flap.points.map((p) => p[1])]
      const [x, y] = props.junction.at
      return Math.min(...xs) < x + radius.value && Math.max(...xs) > x - radius.value && Math.min(...ys) < y + radius.value && Math.max(...ys) > y - radius.value
    })
    .map((flap) => pointsText(fromTheBack(flap.points, props.width))),
)
/** Each ply takes away the same share of light, so equal greys mean equal layers. */
const shade = 0.13
/** Counts stand where they were counted, farther out, mirrored to the back. */
const counts = computed(() =>
  plyRuns(props.junction.plies).map((run) => {
    const angle = Math.PI - run.at * 2 * Math.PI
    const out = run.share < 0.06 ? 0.4 : 0.66
    return { plies: run.plies, x: Math.cos(angle) * out * 100, y: Math.sin(angle) * out * 100 }
  }),
)
</script>

<template>
  <svg class="crossing-lens" viewBox="-104 -104 208 208" role="img" :aria-label="`Where ${junction.patches} patches meet: up to ${junction.peak} layers of cloth`">
    <defs>
      <clipPath :id="clip"><circle r="100" /></clipPath>
    </defs>
    <circle r="100" class="ground" />
    <g :clip-path="`url(#${clip})`">
      <g :transform="`scale(${100 / radius}) translate(${-at[0]} ${-at[1]})`">
        <polygon v-for="(points, i) in near" :key="i" :points="points" fill="#20262b" :fill-opacity="shade" />
      </g>
    </g>
    <circle r="100" class="rim" />
    <text v-for="(count, i) in counts" :key="i" :x="count.x" :y="count.y + 5" text-anchor="middle">{{ count.plies }}</text>
  </svg>
</template>
