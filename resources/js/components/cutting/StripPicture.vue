<script setup lang="ts">
import { computed } from 'vue'
import type { FabricPacked } from '@/api/types'

/** The strips of one fabric, cut from selvage to selvage, to scale, with the letters of the stacks on the pieces. */
const props = defineProps<{ packed: FabricPacked; color: string; name: string }>()

const strips = computed(() => {
  let top = 0
  return props.packed.strips.map((strip) => {
    let left = 0
    const pieces = strip.pieces.map((piece) => {
      const laid = { ...piece, left, top }
      left += piece.width
      return laid
    })
    top += strip.height
    return { ...strip, top: top - strip.height, pieces }
  })
})
const height = computed(() => props.packed.strips.reduce((sum, strip) => sum + strip.height, 0))
const size = computed(() => props.packed.width / 42)
</script>

<template>
  <svg class="strips" :viewBox="`0 0 ${packed.width} ${height}`" role="img" :aria-label="`${name}: ${packed.strips.length} strips, ${packed.length} long`">
    <rect class="waste" width="100%" height="100%" />
    <g v-for="(strip, i) in strips" :key="i">
      <g v-for="(piece, j) in strip.pieces" :key="j">
        <rect :x="piece.left" :y="piece.top" :width="piece.width" :height="piece.height" :fill="color" class="piece" :stroke-width="size * 0.12" />
        <text v-if="piece.width > size * 1.4" :x="piece.left + piece.width / 2" :y="piece.top + piece.height / 2 + size * 0.55" :font-size="size * 1.6" text-anchor="middle">{{ piece.letter }}</text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.strips {
  display: block;
  width: 100%;
}

.waste {
  fill: #e3e6e1;
}

.piece {
  stroke: #fff;
}

text {
  fill: var(--ink);
  font-family: var(--font);
  font-weight: 700;
  paint-order: stroke;
  stroke: #fff;
  stroke-width: 0.35px;
}
</style>
