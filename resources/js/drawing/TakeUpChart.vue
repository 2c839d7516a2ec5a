<script setup lang="ts">
import { computed } from 'vue'
import type { LogbookShown } from '@/api/types'
import { takeUpPlaces } from './takeUpChart'

/** What seams took, one after the other in time, beside what they should take. */
const props = defineProps<{ takeUps: LogbookShown['takeUps']; units: 'in' | 'mm' }>()

const chart = computed(() => takeUpPlaces(props.takeUps, props.units))
</script>

<template>
  <figure class="take-up-chart">
    <svg :viewBox="`0 0 ${chart.width} ${chart.height}`" role="img" :aria-label="`Take-up of ${takeUps.length} seams in the order of time, between ${chart.lowest} and ${chart.highest} ${units}`">
      <g v-for="line in chart.lines" :key="line.text">
        <line class="level" :x1="chart.left" :x2="chart.width" :y1="line.y" :y2="line.y" />
        <text :x="chart.left - 8" :y="line.y + 5" text-anchor="end">{{ line.text }}</text>
      </g>
      <line v-if="chart.ideal !== null" class="ideal" :x1="chart.left" :x2="chart.width" :y1="chart.ideal" :y2="chart.ideal" />
      <template v-for="(dot, i) in chart.dots" :key="i">
        <rect v-if="dot.isTest" class="dot" :x="dot.x - 6" :y="dot.y - 6" width="12" height="12"><title>Seam test: {{ dot.text }} {{ units }}</title></rect>
        <circle v-else class="dot" :cx="dot.x" :cy="dot.y" r="6"><title>{{ dot.text }} {{ units }}</title></circle>
      </template>
    </svg>
    <figcaption class="soft">Dots from measured parts<template v-if="chart.dots.some((dot) => dot.isTest)">, squares from seam tests</template>; the stitched line is what a seam should take.</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}

svg {
  display: block;
  width: 100%;
}

text {
  fill: var(--soft);
  font-size: 15px;
}

.level {
  stroke: var(--hair);
}

.ideal {
  stroke: var(--thread);
  stroke-width: 3;
  stroke-dasharray: 12 7;
}

.dot {
  fill: var(--ink);
}
</style>
