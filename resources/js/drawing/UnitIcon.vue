<script setup lang="ts">
import { computed } from 'vue'
import { pointsText } from './geometry'
import type { Place } from '@/api/types'

/** One unit in a square, from patches given as shares of its cell. */
/** ratio: width to height of the cell it is meant for. */
const props = withDefaults(defineProps<{ patches: { color: string; points: Place[] }[]; label?: string; ring?: Place | null; side?: 'top' | 'right' | 'bottom' | 'left' | null; ratio?: number }>(), { label: undefined, ring: null, side: null, ratio: 1 })

/** The longer side fills the square. */
const scale = computed(() => [Math.min(1, props.ratio), Math.min(1, 1 / props.ratio)] as const)

const edges = { top: [0, 0, 1, 0], right: [1, 0, 1, 1], bottom: [0, 1, 1, 1], left: [0, 0, 0, 1] } as const
</script>

<template>
  <svg class="unit-icon" :viewBox="`${-0.06 - (1 - scale[0]) / 2} ${-0.06 - (1 - scale[1]) / 2} 1.12 1.12`" :role="label ? 'img' : undefined" :aria-label="label" :aria-hidden="label ? undefined : true">
    <g :transform="`scale(${scale[0]} ${scale[1]})`">
      <polygon v-for="(patch, i) in patches" :key="i" :points="pointsText(patch.points)" :fill="patch.color" :stroke="patch.color" stroke-width="0.006" />
      <line v-if="side" class="edge" :x1="edges[side][0]" :y1="edges[side][1]" :x2="edges[side][2]" :y2="edges[side][3]" />
      <template v-if="ring">
        <circle class="ring halo" :cx="ring[0]" :cy="ring[1]" r="0.2" />
        <circle class="ring" :cx="ring[0]" :cy="ring[1]" r="0.2" />
      </template>
    </g>
  </svg>
</template>

<style scoped>
.unit-icon {
  display: block;
}

.edge {
  stroke: var(--thread);
  stroke-width: 0.05;
  stroke-dasharray: 0.1 0.06;
}

.ring {
  fill: none;
  stroke: var(--brick);
  stroke-width: 0.05;
}

.halo {
  stroke: #fff;
  stroke-width: 0.1;
}
</style>
