<script setup lang="ts">
import { computed } from 'vue'
import type { CutShown, Place } from '@/api/types'
import { fractionParts } from '@/drawing/fractions'
import { boxRound, middle, pointsText } from '@/drawing/geometry'

/** A template to scale, right side up: its raw outline with the lengths along it and the arrow of the straight grain. */
const props = defineProps<{ cut: CutShown; color: string }>()

const outline = computed(() => props.cut.outline ?? [])
const box = computed(() => boxRound(outline.value))
const unit = computed(() => Math.max(box.value.width, box.value.height) / 100)
const room = computed(() => unit.value * 42)
const mean = (axis: 0 | 1) => outline.value.reduce((sum, corner) => sum + corner[axis], 0) / Math.max(1, outline.value.length)
const centre = computed(() => [mean(0), mean(1)] as const)
/** Each length outside of its side. */
const labels = computed(() =>
  outline.value.map((corner, i) => {
    const next = outline.value[(i + 1) % outline.value.length] ?? corner
    const [x, y] = middle(corner, next)
    const length = Math.hypot(next[0] - corner[0], next[1] - corner[1]) || 1
    // Corners run clockwise: outward is to the left of the way. Sideways a figure is wider than it is high.
    const [outX, outY] = [(next[1] - corner[1]) / length, -(next[0] - corner[0]) / length]
    return { text: props.cut.sides[i] ?? '', x: x + outX * unit.value * 24, y: y + outY * unit.value * 11 }
  }),
)
/** Short blunted tips have no room for a figure. */
const isLong = (i: number) => {
  const [corner, next]: [Place, Place] = [outline.value[i] ?? [0, 0], outline.value[(i + 1) % outline.value.length] ?? [0, 0]]
  return Math.hypot(next[0] - corner[0], next[1] - corner[1]) > unit.value * 14
}
</script>

<template>
  <svg class="template-picture" :viewBox="`${box.left - room} ${box.top - room} ${box.width + 2 * room} ${box.height + 2 * room}`" role="img" :aria-label="`Template ${cut.letter}: sides ${cut.sides.join(', ')}`">
    <polygon :points="pointsText(outline)" :fill="color" stroke="#2b3338" :stroke-width="unit * 1.2" />
    <g class="grain">
      <line class="halo" :x1="centre[0] - unit * 12" :x2="centre[0] + unit * 12" :y1="centre[1]" :y2="centre[1]" :stroke-width="unit * 6" />
      <path :d="`M${centre[0] - unit * 12} ${centre[1]} h${unit * 24} m${-unit * 5} ${-unit * 4} l${unit * 5} ${unit * 4} l${-unit * 5} ${unit * 4} M${centre[0] - unit * 7} ${centre[1] - unit * 4} l${-unit * 5} ${unit * 4} l${unit * 5} ${unit * 4}`" :stroke-width="unit * 1.8" />
    </g>
    <template v-for="(label, i) in labels" :key="i"><text v-if="isLong(i)" :x="label.x" :y="label.y + unit * 3" :font-size="unit * 13" text-anchor="middle"><tspan v-for="(part, p) in fractionParts(label.text)" :key="p" :class="{ fraction: part.includes('/') }">{{ part }}</tspan></text></template>
  </svg>
</template>

<style scoped>
.template-picture {
  display: block;
  width: 190px;
  height: 150px;
}

.grain path {
  fill: none;
  stroke: var(--ink);
}

.halo {
  stroke: #fff;
}

text {
  fill: var(--ink);
  font-family: var(--font);
}
</style>
