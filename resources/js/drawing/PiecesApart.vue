<script setup lang="ts">
import { computed } from 'vue'
import type { FaceShown, Place, TakeShown } from '@/api/types'
import { boxRound, middle, pointsText } from './geometry'

/** Pieces as they lie, face up, a little apart, with the edges that are sewn to each other marked by stitches. */
/** at: the seam that is sewn just now. */
const props = withDefaults(defineProps<{ face: FaceShown; take: TakeShown; label: string; at?: number | null }>(), { at: null })

const colours = computed(() => new Map(props.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
const size = computed(() => {
  const box = boxRound(props.take.raw.flat().flatMap((patch) => patch.points))
  return Math.max(box.width, box.height)
})
/** Both allowances lie between the finished edges. */
const gap = computed(() => 2 * props.face.allowance + size.value * (props.take.raw.length > 2 ? 0.04 : 0.1))

const centre = (piece: FaceShown['patches']): Place => {
  const box = boxRound(piece.flatMap((patch) => patch.points))
  return [box.left + box.width / 2, box.top + box.height / 2]
}
/** How far each piece is moved away from the first: across every seam before it. */
const shifts = computed(() => {
  const all: Place[] = [[0, 0]]
  props.take.seams.forEach(({ from, to }, i) => {
    const [x, y] = all[i] as Place
    const [cx, cy] = centre(props.take.raw[i + 1] ?? [])
    const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1
    const normal: Place = [-(to[1] - from[1]) / length, (to[0] - from[0]) / length]
    const away = Math.sign((cx - from[0]) * normal[0] + (cy - from[1]) * normal[1]) || 1
    all.push([x + away * normal[0] * gap.value, y + away * normal[1] * gap.value])
  })
  return all
})
const shifted = ([x, y]: Place, [dx, dy]: Place): Place => [x + dx, y + dy]
const pieces = computed(() => props.take.raw.map((piece, i) => piece.map((patch) => ({ ...patch, points: patch.points.map((point) => shifted(point, shifts.value[i] as Place)) }))))
const seams = computed(() =>
  props.take.seams.map(({ from, to }, i) => {
    const shift = middle(shifts.value[i] as Place, shifts.value[i + 1] as Place)
    return { from: shifted(from, shift), to: shifted(to, shift) }
  }),
)
const box = computed(() => {
  const all = boxRound(pieces.value.flat().flatMap((patch) => patch.points))
  const room = size.value * 0.02
  return { left: all.left - room, top: all.top - room, width: all.width + 2 * room, height: all.height + 2 * room }
})
</script>

<template>
  <svg class="pieces-apart" :viewBox="`${box.left} ${box.top} ${box.width} ${box.height}`" role="img" :aria-label="label">
    <template v-for="(piece, i) in pieces" :key="i">
      <polygon v-for="patch in piece" :key="patch.id" :points="pointsText(patch.points)" :fill="colours.get(patch.fabric)" stroke="#5a6268" />
    </template>
    <line v-for="(seam, i) in seams" :key="`s${i}`" class="stitching" :class="{ waits: at !== null && i > at, sewn: at !== null && i < at }" :x1="seam.from[0]" :y1="seam.from[1]" :x2="seam.to[0]" :y2="seam.to[1]" />
  </svg>
</template>

<style scoped>
.pieces-apart {
  width: 100%;
  height: 100%;
}

polygon,
.stitching {
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}

.stitching {
  stroke: var(--thread);
  stroke-width: 5px;
  stroke-dasharray: 13px 8px;
}

.stitching.waits {
  stroke: var(--thread-rest);
}

.stitching.sewn {
  stroke-dasharray: none;
}
</style>
