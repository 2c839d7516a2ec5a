<script setup lang="ts">
import { computed, useId } from 'vue'
import type { FaceShown, FlapShown, JunctionShown } from '@/api/types'
import { fromTheBack, pointsText } from './geometry'

/** How many layers of cloth lie where, as greys that add up, seen from the back; readable in grey print. */
const props = defineProps<{ face: FaceShown; flaps: FlapShown[]; junctions: JunctionShown[]; name: string; pixels: number }>()

const clip = useId()
const scale = computed(() => (props.face.width + 2 * props.face.allowance) / props.pixels)
const rim = computed(() => props.face.allowance + 24 * scale.value)
const raw = computed(() => ({ x: -props.face.allowance, y: -props.face.allowance, width: props.face.width + 2 * props.face.allowance, height: props.face.height + 2 * props.face.allowance }))
const viewBox = computed(() => `${-rim.value} ${-rim.value} ${props.face.width + 2 * rim.value} ${props.face.height + rim.value + props.face.allowance + 2 * scale.value}`)
const cloth = computed(() => props.flaps.map((flap) => pointsText(fromTheBack(flap.points, props.face.width))))
</script>

<template>
  <svg class="ply-map" :viewBox="viewBox" preserveAspectRatio="xMidYMid meet" role="img" :aria-label="`Layers of cloth in ${name}; the thickest place has ${Math.max(1, ...junctions.map((junction) => junction.peak))}`">
    <defs><clipPath :id="clip"><rect v-bind="raw" /></clipPath></defs>
    <rect v-bind="raw" fill="#fff" />
    <g :clip-path="`url(#${clip})`">
      <polygon v-for="(points, i) in cloth" :key="i" :points="points" fill="#20262b" fill-opacity="0.11" />
    </g>
    <g v-for="junction in junctions" :key="junction.text.join()">
      <circle :cx="face.width - junction.at[0]" :cy="junction.at[1]" :r="scale * 12" />
      <text :x="face.width - junction.at[0]" :y="junction.at[1] + scale * 5" :font-size="scale * 14" text-anchor="middle">{{ junction.peak }}</text>
    </g>
  </svg>
</template>

<style scoped>
.ply-map {
  display: block;
  width: 100%;
  height: 100%;
}

circle {
  fill: #fff;
  fill-opacity: 0.9;
}

text {
  fill: var(--ink);
  font-family: var(--font);
  font-weight: 650;
}
</style>
