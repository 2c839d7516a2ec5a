<script setup lang="ts">
import { computed } from 'vue'
import type { CutShown, Place } from '@/api/types'
import { middle, pointsText, boxRound } from '@/drawing/geometry'

/** A template to scale, right side up: its raw outline with the lengths along it and the arrow of the straight grain. */
const props = defineProps<{ cut: CutShown; color: string }>()

const outline = computed(() => props.cut.outline ?? [])
const box = computed(() => boxRound(outline.value))
const unit = computed(() => Math.max(box.value.width, box.value.height) / 100)
const room = computed(() => unit.value * 16)
const centre = computed(() => [box.value.left + box.value.width / 2, box.value.top + box.value.height / 2] as const)
/** Each length outside of its side, away from the middle. */
const labels = computed(() =>
  outline.value.map((corner, i) => {
    const [x, y] = middle(corner, outline.value[(i + 1) % outline.value.length] ?? corner)
    const [dx, dy] = [x - centre.value[0], y - centre.value[1]]
    const far = Math.hypot(dx, dy) || 1
    return { text: props.cut.sides[i] ?? '', x: x + (dx / far) * unit.value * 9, y: y + (dy / far) * unit.value * 9 }
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
      <line class="halo" :x1="centre[0] - unit * 18" :x2="centre[0] + unit * 18" :y1="centre[1]" :y2="centre[1]" :stroke-width="unit * 6" />
      <path :d="`M${centre[0] - unit * 18} ${centre[1]} h${unit * 36} m${-unit * 5} ${-unit * 4} l${unit * 5} ${unit * 4} l${-unit * 5} ${unit * 4} M${centre[0] - unit * 13} ${centre[1] - unit * 4} l${-unit * 5} ${unit * 4} l${unit * 5} ${unit * 4}`" :stroke-width="unit * 1.8" />
    </g>
    <template v-for="(label, i) in labels" :key="i"><text v-if="isLong(i)" :x="label.x" :y="label.y + unit * 3" :font-size="unit * 10" text-anchor="middle">{{ label.text }}</text></template>
  </svg>
</template>

<style scoped>
.template-picture {
  display: block;
  width: 150px;
  height: 120px;
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
