<script setup lang="ts">
import { computed } from 'vue'
import type { FaceShown, OrderPossible } from '@/api/types'
import { pointsText } from '@/drawing/geometry'

/** How a block grows, from trip to trip to the machine: what is not sewn yet stands apart. */
const props = defineProps<{ face: FaceShown; order: OrderPossible; frames: number; pixels: number }>()

const colours = computed(() => new Map(props.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
const scale = computed(() => props.face.width / props.pixels)
/** Evenly spread over all trips, the first and the last always among them. */
const shown = computed(() => {
  const last = props.order.figures.chainBatches
  const count = Math.min(props.frames, last + 1)
  return Array.from({ length: count }, (_, i) => (count === 1 ? last : Math.round((i * last) / (count - 1))))
})
const open = (batch: number) => props.order.joins.filter((join) => join.batch > batch)
</script>

<template>
  <ol class="film" :aria-label="`The block grows in ${order.figures.chainBatches} trips to the machine`">
    <li v-for="batch in shown" :key="batch">
      <svg :viewBox="`0 0 ${face.width} ${face.height}`" :style="{ width: `${pixels}px` }" aria-hidden="true">
        <polygon v-for="patch in face.patches" :key="patch.id" :points="pointsText(patch.points)" :fill="colours.get(patch.fabric)" :stroke="colours.get(patch.fabric)" :stroke-width="scale * 0.8" />
        <line v-for="(join, i) in open(batch)" :key="i" class="gap" :x1="join.from[0]" :y1="join.from[1]" :x2="join.to[0]" :y2="join.to[1]" :stroke-width="scale * 5" />
      </svg>
      <span>{{ batch === 0 ? 'cut' : batch }}</span>
    </li>
  </ol>
</template>

<style scoped>
.film {
  display: flex;
  gap: 12px;
}

li {
  display: grid;
  justify-items: center;
  color: var(--soft);
  font-size: 15px;
  line-height: 1.3;
}

svg {
  display: block;
}

.gap {
  stroke: var(--ground);
  stroke-linecap: butt;
}
</style>
