<script setup lang="ts">
import { computed, useId } from 'vue'
import type { TopPicture, TopPlaceShown, TopWorkShown } from '@/api/types'
import { applied, grown, hangingBox, hangingMatrix, matrixText, placeMatrix, type Corner } from './topGeometry'

const props = withDefaults(
  defineProps<{
    picture: TopPicture
    label: string
    /** By how much the plan turns places, by row and column. */
    turned?: Map<string, number>
    /** The place that is chosen, where places can be. */
    chosen?: string | null
    /** What is sewn, and the places and seams that the step is about, by their numbers. */
    work?: { wholes: number[]; seams: TopWorkShown['seams']; places: number[]; now: number[] }
  }>(),
  { turned: () => new Map(), chosen: undefined, work: undefined },
)
const emit = defineEmits<{ choose: [place: TopPlaceShown] }>()

const id = useId()
const colours = computed(() => new Map(props.picture.fabrics.map((fabric) => [fabric.key, fabric.color])))
const path = (points: Corner[]) => `M${points.map((point) => point.join(' ')).join('L')}Z`
/** Everything of one fabric at once: a block is drawn once and shown as often as it is there. */
function heaped(patches: { fabric: string; points: Corner[] }[]) {
  const heaps = new Map<string, string>()
  for (const patch of patches) heaps.set(patch.fabric, (heaps.get(patch.fabric) ?? '') + path(patch.points))
  return [...heaps].map(([fabric, d]) => ({ fabric, d }))
}
const blocks = computed(() => props.picture.blocks.map((block, number) => ({ ...block, id: `${id}-block-${number}`, heaps: heaped(block.patches) })))
const byKey = computed(() => new Map(blocks.value.map((block) => [block.key, block])))
const loose = computed(() => heaped([...props.picture.pieces, ...props.picture.places.flatMap((place) => place.pieces)]))

const inside = computed(() => hangingBox(props.picture))
const frames = computed(() => {
  let out = 0
  return props.picture.borders.map((border) => ({ ...border, box: grown(inside.value, (out += border.width)), inner: grown(inside.value, out - border.width) })).reverse()
})
const view = computed(() => frames.value[0]?.box ?? inside.value)
const hair = computed(() => Math.max(view.value.width, view.value.height) / 900)

const key = (place: TopPlaceShown) => `${place.row}/${place.column}`
const size = computed(() => {
  const [block] = props.picture.blocks
  return { width: block?.width ?? 1, height: block?.height ?? 1 }
})
const isUpright = (place: TopPlaceShown) => place.turn === 0 || place.turn === 180
/** Corners of a whole place. */
const corners = (place: TopPlaceShown) => {
  const [x = 0, y = 0] = place.at
  const { width, height } = isUpright(place) ? size.value : { width: size.value.height, height: size.value.width }
  return [[x, y], [x + width, y], [x + width, y + height], [x, y + height]]
}
const outlines = (place: TopPlaceShown) => (place.pieces.length > 0 ? place.pieces.map((piece) => path(piece.points)).join('') : path(corners(place)))
/** Where a mark of a place is drawn, as it hangs. */
const middle = (place: TopPlaceShown) => {
  const all = place.pieces.length > 0 ? place.pieces.flatMap((piece) => piece.points) : corners(place)
  const mean = (axis: number) => all.reduce((sum, point) => sum + (point[axis] ?? 0), 0) / all.length
  return applied(hangingMatrix(props.picture.isOnPoint), [mean(0), mean(1)])
}
const words = (place: TopPlaceShown) =>
  `Row ${place.row}, column ${place.column}: ${place.block ?? `plain ${props.picture.fabrics.find((fabric) => fabric.key === place.fabric)?.name ?? ''}`}${place.mirrored ? ', mirrored' : ''}${place.turn > 0 ? `, turned by ${place.turn}` : ''}`
const unsewn = computed(() => {
  const wholes = new Set(props.work?.wholes)
  return props.work === undefined ? [] : props.picture.places.filter((place, number) => place.block !== null && place.pieces.length === 0 && !wholes.has(number))
})
const ofStep = computed(() => (props.work?.places ?? []).flatMap((number) => props.picture.places[number] ?? []))
const ends = (seam: TopWorkShown['seams'][number]) => ({ x1: seam.from[0], y1: seam.from[1], x2: seam.to[0], y2: seam.to[1] })
const mark = computed(() => Math.min(size.value.width, size.value.height) * 0.16)
const arrow = (turn: number) => (turn === 180 ? '½' : turn === 90 ? '¼' : '¾')
</script>

<template>
  <svg class="top-face" :viewBox="`${view.left} ${view.top} ${view.width} ${view.height}`" role="img" :aria-label="label" preserveAspectRatio="xMidYMid meet">
    <defs>
      <g v-for="block in blocks" :id="block.id" :key="block.id">
        <path v-for="heap in block.heaps" :key="heap.fabric" :d="heap.d" :fill="colours.get(heap.fabric)" :stroke="colours.get(heap.fabric)" :stroke-width="hair" />
      </g>
    </defs>
    <template v-for="frame in frames" :key="frame.box.width">
      <rect :x="frame.box.left" :y="frame.box.top" :width="frame.box.width" :height="frame.box.height" :fill="colours.get(frame.fabric)" :stroke="'var(--hair)'" :stroke-width="hair" />
      <template v-if="frame.corners !== null">
        <rect
          v-for="[x, y] in [[frame.box.left, frame.box.top], [frame.inner.left + frame.inner.width, frame.box.top], [frame.box.left, frame.inner.top + frame.inner.height], [frame.inner.left + frame.inner.width, frame.inner.top + frame.inner.height]]"
          :key="`${x} ${y}`"
          :x="x"
          :y="y"
          :width="frame.width"
          :height="frame.width"
          :fill="colours.get(frame.corners)"
        />
      </template>
    </template>
    <g :transform="matrixText(hangingMatrix(picture.isOnPoint))">
      <path v-for="heap in loose" :key="heap.fabric" :d="heap.d" :fill="colours.get(heap.fabric)" :stroke="colours.get(heap.fabric)" :stroke-width="hair" />
      <template v-for="place in picture.places" :key="key(place)">
        <path v-if="place.fabric !== null && place.pieces.length === 0" :d="path(corners(place))" :fill="colours.get(place.fabric)" :stroke="colours.get(place.fabric)" :stroke-width="hair" />
        <use v-else-if="place.pieces.length === 0 && place.block !== null" :href="`#${byKey.get(place.block)?.id}`" :transform="matrixText(placeMatrix(place, size.width, size.height))" />
      </template>
      <template v-if="work">
        <path v-for="place in unsewn" :key="`unsewn ${key(place)}`" class="unsewn" :d="outlines(place)" />
        <template v-for="(seam, number) in work.seams" :key="number">
          <line v-bind="ends(seam)" class="seam under" :stroke-width="hair * (work.now.includes(number) ? 11 : 6)" />
          <line v-bind="ends(seam)" class="seam" :class="{ now: work.now.includes(number) }" :stroke-width="hair * (work.now.includes(number) ? 7 : 3)" :stroke-dasharray="seam.isSewn || work.now.includes(number) ? undefined : `${hair * 5} ${hair * 9}`" />
        </template>
        <path v-for="place in ofStep" :key="`step ${key(place)}`" class="of-step" :d="outlines(place)" :stroke-width="hair * 5" />
      </template>
      <template v-if="chosen !== undefined">
        <path
          v-for="place in picture.places"
          :id="`${id}-${key(place)}`"
          :key="key(place)"
          class="place"
          :class="{ chosen: key(place) === chosen }"
          :d="outlines(place)"
          :stroke-width="hair * (key(place) === chosen ? 7 : 2)"
          :data-place="key(place)"
          @click="emit('choose', place)"
        >
          <title>{{ words(place) }}</title>
        </path>
      </template>
    </g>
    <g v-for="place in picture.places.filter((one) => turned.has(key(one)))" :key="key(place)" class="turn-mark" :data-turned="key(place)" :transform="`translate(${middle(place).join(' ')}) scale(${mark})`">
      <circle r="1" />
      <text y="0.36" text-anchor="middle">{{ arrow(turned.get(key(place)) ?? 0) }}</text>
    </g>
  </svg>
</template>

<style scoped>
.top-face {
  display: block;
  width: 100%;
  height: 100%;
}

.place {
  fill: transparent;
  stroke: transparent;
  cursor: pointer;
}

.place:hover {
  stroke: var(--thread);
}

.place.chosen {
  stroke: var(--brick);
}

.unsewn {
  fill: var(--paper);
  opacity: 0.55;
}

.seam {
  stroke: var(--ink);
}

.seam.under {
  stroke: var(--paper);
}

.seam.now,
.of-step {
  stroke: var(--brick);
}

.of-step {
  fill: none;
}

.turn-mark {
  pointer-events: none;
}

.turn-mark circle {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 0.12;
}

.turn-mark text {
  font-size: 1.15px;
  font-weight: 600;
  fill: var(--ink);
}
</style>
