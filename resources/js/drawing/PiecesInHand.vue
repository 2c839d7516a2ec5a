<script setup lang="ts">
import { computed, useId } from 'vue'
import type { FaceShown, Place, TakeShown } from '@/api/types'
import { boxRound, pointsText } from './geometry'

/** Two pieces right sides together, as they lie in the hand: the edge to sew at the right, or at the left. */
const props = withDefaults(defineProps<{ face: FaceShown; take: TakeShown; isLeftHanded: boolean; label: string; /** Which of its seams is sewn. */ at?: number }>(), { at: 0 })

const wrongSide = useId()
const lies = computed(() => ({ lower: props.take.raw[props.at] ?? [], upper: props.take.raw[props.at + 1] ?? [], from: props.take.seams[props.at]?.from ?? ([0, 0] as Place), to: props.take.seams[props.at]?.to ?? ([0, 1] as Place) }))
const colours = computed(() => new Map(props.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
const side = computed(() => (props.isLeftHanded ? -1 : 1))

/** Turns the block so that the seam stands upright and the lower piece lies on the far side of it. */
const turned = computed(() => {
  const [[ax, ay], [bx, by]] = [lies.value.from, lies.value.to]
  const angle = Math.PI / 2 - Math.atan2(by - ay, bx - ax)
  const turn = ([x, y]: Place, half: number): Place => {
    const [dx, dy] = [x - ax, y - ay]
    return [half * (dx * Math.cos(angle) - dy * Math.sin(angle)), half * (dx * Math.sin(angle) + dy * Math.cos(angle))]
  }
  const lower = lies.value.lower.flatMap((patch) => patch.points.map((point) => turn(point, 1)[0]))
  const isRight = Math.abs(Math.max(...lower)) > Math.abs(Math.min(...lower))
  return (point: Place) => turn(point, isRight === (side.value > 0) ? -1 : 1)
})
const lower = computed(() => lies.value.lower.map((patch) => ({ ...patch, points: patch.points.map(turned.value) })))
/** Flipped over onto the lower one: its wrong side is up. */
const upper = computed(() => lies.value.upper.map((patch) => ({ ...patch, points: patch.points.map((point): Place => [-turned.value(point)[0], turned.value(point)[1]]) })))
const seam = computed(() => ({ from: turned.value(lies.value.from), to: turned.value(lies.value.to) }))
const box = computed(() => {
  const all = boxRound([...lower.value, ...upper.value].flatMap((patch) => patch.points))
  const room = Math.max(all.width, all.height) * 0.06
  return { left: all.left - room, top: all.top - room, width: all.width + 2 * room, height: all.height + 2 * room }
})
const unit = computed(() => Math.max(box.value.width, box.value.height) / 420)
</script>

<template>
  <svg class="pieces-in-hand" :viewBox="`${box.left} ${box.top} ${box.width} ${box.height}`" role="img" :aria-label="label">
    <defs>
      <pattern :id="wrongSide" patternUnits="userSpaceOnUse" :width="unit * 9" :height="unit * 9" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" :y2="unit * 9" stroke="#fff" :stroke-width="unit * 5" stroke-opacity="0.55" />
      </pattern>
    </defs>
    <polygon v-for="patch in lower" :key="`l${patch.id}`" :points="pointsText(patch.points)" :fill="colours.get(patch.fabric)" stroke="#5a6268" :stroke-width="unit" />
    <g v-for="patch in upper" :key="`u${patch.id}`">
      <polygon :points="pointsText(patch.points)" :fill="colours.get(patch.fabric)" stroke="#2b3338" :stroke-width="unit * 1.5" />
      <polygon :points="pointsText(patch.points)" :fill="`url(#${wrongSide})`" />
    </g>
    <line class="stitching" :x1="seam.from[0]" :y1="seam.from[1]" :x2="seam.to[0]" :y2="seam.to[1]" :stroke-width="unit * 5" :stroke-dasharray="`${unit * 12} ${unit * 7}`" />
  </svg>
</template>

<style scoped>
.pieces-in-hand {
  width: 100%;
  height: 100%;
}

.stitching {
  stroke: var(--thread);
}
</style>
