<script setup lang="ts">
import { computed } from 'vue'
import type { FaceShown, OrderPossible } from '@/api/types'
import { boxRound, pointsText } from '@/drawing/geometry'

/** What is sewn to what: every strand of the order as an outline, the larger round the smaller. */
const props = defineProps<{ face: FaceShown; order: OrderPossible; pixels: number }>()

const scale = computed(() => props.face.width / props.pixels)
const deepest = computed(() => Math.max(0, ...props.order.strands.map((strand) => strand.depth)))
const strands = computed(() =>
  props.order.strands
    // Slanting rows are made of many small pieces; only the rows themselves can be told apart at this size.
    .filter((strand) => strand.depth <= (props.order.order === 'diagonal' ? 1 : 2))
    .sort((a, b) => a.depth - b.depth)
    .map((strand) => {
      // Drawn a little smaller the deeper it lies, so that a strip shows inside the strip it belongs to.
      const box = boxRound(strand.outline)
      const inset = scale.value * 3.2 * (strand.depth + 0.5)
      const share = Math.max(0.3, 1 - (2 * inset) / Math.max(Math.min(box.width, box.height), 1e-6))
      const [x, y] = [box.left + box.width / 2, box.top + box.height / 2]
      return { ...strand, points: pointsText(strand.outline.map(([px, py]) => [x + (px - x) * (1 - (1 - share) * (Math.min(box.width, box.height) / box.width)), y + (py - y) * (1 - (1 - share) * (Math.min(box.width, box.height) / box.height))])) }
    }),
)
</script>

<template>
  <svg class="strands" :viewBox="`0 0 ${face.width} ${face.height}`" :style="{ width: `${pixels}px` }" role="img" :aria-label="`${order.strands.length} strips, sewn one inside the other, ${deepest + 1} deep`">
    <polygon v-for="(strand, i) in strands" :key="i" :points="strand.points" :class="`depth-${Math.min(strand.depth, 3)}`" :stroke-width="scale * 1.6" />
  </svg>
</template>

<style scoped>
polygon {
  fill: var(--thread);
  fill-opacity: 0.1;
  stroke: var(--thread);
  stroke-linejoin: round;
}
</style>
