<script setup lang="ts">
import { computed, ref } from 'vue'
import type { DrawingMark, DrawingShown, Place, WallFabric } from '@/api/types'
import { along, nearest, patchAt, pointsText } from '@/drawing/geometry'

/** One cell, large: cut from mark to mark by dragging, by two clicks, or by keys; patches are chosen by clicking on them. */
const props = defineProps<{
  drawing: DrawingShown
  fabrics: WallFabric[]
  /** Numbers of the marks where the keys are, and where a cut was begun. */
  at: number | null
  from: number | null
  isThrough: boolean
  /** Ids of chosen patches. */
  chosen: number[]
  isPainting: boolean
  label: string
}>()
const emit = defineEmits<{ mark: [number: number]; cut: [from: number, to: number]; patch: [id: number] }>()

/** Screen pixels round a mark that belong to it. */
const REACH = 24

const svg = ref<SVGSVGElement | null>(null)
const pointer = ref<Place | null>(null)
const pressed = ref<number | null>(null)
const unit = computed(() => Math.max(props.drawing.width, props.drawing.height) / 640)
const fills = computed(() => new Map(props.fabrics.map((fabric) => [fabric.key, fabric.color])))
const seams = computed(() => props.drawing.seams.map((seam, i) => ({ ...seam, number: i + 1, middle: along(seam.from, seam.to, 0.42) })))
const markAt = (number: number | null): DrawingMark | null => (number === null ? null : props.drawing.marks[number] ?? null)
const start = computed(() => markAt(pressed.value ?? props.from))
const end = computed<Place | null>(() => pointer.value ?? markAt(props.at)?.at ?? null)

/** Where the cut would run: to where the hand is, or on through everything. */
const line = computed(() => {
  const [from, to] = [start.value?.at, end.value]
  if (from === undefined || to === null || (from[0] === to[0] && from[1] === to[1])) return null
  if (!props.isThrough) return { from, to }
  const far = (props.drawing.width + props.drawing.height) / Math.hypot(to[0] - from[0], to[1] - from[1])
  const reach = (sign: number): Place => [from[0] + (to[0] - from[0]) * far * sign, from[1] + (to[1] - from[1]) * far * sign]
  return { from: reach(-1), to: reach(1) }
})

function placeOf(event: PointerEvent): Place | null {
  const matrix = svg.value?.getScreenCTM()
  if (!matrix) return null
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return [x, y]
}

function markNear(place: Place): number | null {
  const found = nearest(props.drawing.marks.map((mark) => mark.at), place)
  return found !== null && found.distance * (svg.value?.getScreenCTM()?.a ?? 1) <= REACH ? found.number : null
}

function press(event: PointerEvent) {
  const place = placeOf(event)
  if (place === null) return
  const mark = props.isPainting ? null : markNear(place)
  if (mark === null) {
    const patch = patchAt(props.drawing.patches, place)
    if (patch !== null) emit('patch', patch)
    return
  }
  pressed.value = mark
  pointer.value = place
  ;(event.target as Element).setPointerCapture?.(event.pointerId)
}

function move(event: PointerEvent) {
  if (pressed.value === null && props.from === null) return
  const place = placeOf(event)
  const near = place === null ? null : markNear(place)
  pointer.value = near === null ? place : markAt(near)?.at ?? place
}

/** Let go on another mark, the cut is drawn; on the same one, it is one end of a cut by two clicks. */
function release(event: PointerEvent) {
  const [from, place] = [pressed.value, placeOf(event)]
  pressed.value = null
  pointer.value = null
  if (from === null || place === null) return
  const to = markNear(place)
  if (to === null) return
  if (to !== from) emit('cut', from, to)
  else emit('mark', to)
}
</script>

<template>
  <svg ref="svg" class="board" role="img" :aria-label="label" :viewBox="`${-unit * 24} ${-unit * 24} ${drawing.width + unit * 48} ${drawing.height + unit * 48}`" @pointerdown.prevent="press" @pointermove="move" @pointerup="release" @pointercancel="pressed = pointer = null">
    <polygon v-for="patch in drawing.patches" :key="patch.id" :points="pointsText(patch.points)" :fill="fills.get(patch.fabric)" :data-patch="patch.id" />
    <g class="seams">
      <template v-for="patch in drawing.patches" :key="patch.id">
        <polygon :points="pointsText(patch.points)" :stroke-width="unit * 4" />
        <polygon class="thread" :points="pointsText(patch.points)" :stroke-width="unit * 2" :stroke-dasharray="`${unit * 10} ${unit * 5}`" />
      </template>
    </g>
    <polygon v-for="patch in drawing.patches.filter((one) => drawing.inTheWay.includes(one.id))" :key="`way-${patch.id}`" class="in-the-way" :points="pointsText(patch.points)" :stroke-width="unit * 5" />
    <polygon v-for="patch in drawing.patches.filter((one) => chosen.includes(one.id))" :key="`chosen-${patch.id}`" class="chosen" :points="pointsText(patch.points)" :stroke-width="unit * 6" />
    <g v-for="seam in seams" :key="`seam-${seam.number}`" class="number" :transform="`translate(${seam.middle[0]} ${seam.middle[1]}) scale(${unit})`"><circle r="13" /><text y="6" text-anchor="middle">{{ seam.number }}</text></g>
    <line v-if="line" class="cut" :x1="line.from[0]" :y1="line.from[1]" :x2="line.to[0]" :y2="line.to[1]" :stroke-width="unit * 4" :stroke-dasharray="`${unit * 12} ${unit * 8}`" />
    <circle v-for="(mark, i) in drawing.marks" :key="`${mark.x} ${mark.y}`" class="mark" :class="{ here: i === at, begun: i === from }" :cx="mark.at[0]" :cy="mark.at[1]" :r="unit * (i === at || i === from ? 11 : 6)" :stroke-width="unit * 2.5" :data-mark="`${mark.x} ${mark.y}`" />
  </svg>
</template>

<style scoped>
.board {
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
  cursor: crosshair;
}

.seams polygon {
  fill: none;
  stroke: #fff;
}

.seams .thread {
  stroke: var(--ink);
}

.in-the-way {
  fill: none;
  stroke: var(--brick);
  stroke-linejoin: round;
}

.chosen {
  fill: none;
  stroke: #e9b949;
  stroke-linejoin: round;
}

.number circle {
  fill: #fff;
  stroke: var(--ink);
  stroke-width: 1.5;
}

.number text {
  fill: var(--ink);
  font: 650 17px var(--font);
}

.number {
  pointer-events: none;
}

.cut {
  stroke: var(--brick);
  pointer-events: none;
}

.mark {
  fill: #fff;
  stroke: var(--ink);
}

.mark.here {
  stroke: #b97f0a;
  fill: #ffe9b0;
}

.mark.begun {
  stroke: var(--brick);
  fill: #ffd9d0;
}
</style>
