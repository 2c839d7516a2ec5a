<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { PhotoShown } from '@/api/types'

/** The photograph with every unit outlined as it is judged; or with the four corners, to be put where they are. */
const props = defineProps<{ photo: PhotoShown; picture: NonNullable<PhotoShown['picture']>; chosen: string | null; isGrey: boolean; isMending: boolean }>()
const emit = defineEmits<{ choose: [cell: PhotoShown['cells'][number]] }>()
const corners = defineModel<number[][]>('corners', { required: true })

const key = (cell: { row: number; column: number }) => `${cell.row},${cell.column}`
const points = (places: number[][]) => places.map((place) => place.join(',')).join(' ')
const middle = (places: number[][], axis: number) => places.reduce((sum, place) => sum + (place[axis] ?? 0), 0) / places.length
const size = computed(() => Math.max(props.picture.width, props.picture.height) / 100)
const kind = (cell: PhotoShown['cells'][number]) => (cell.verdict === null ? 'unknown' : cell.isIgnored || cell.verdict === 'as drawn' ? 'right' : cell.verdict === 'unsure' ? 'unsure' : 'wrong')
const isPlanted = (cell: PhotoShown['cells'][number]) => props.photo.lesson?.planted.some((one) => one.row === cell.row && one.column === cell.column) ?? false
const isGuess = (cell: PhotoShown['cells'][number]) => props.photo.lesson?.guess?.row === cell.row && props.photo.lesson.guess.column === cell.column

/** One unit is in the way of the Tab key; the arrow keys go on from it. */
const focused = ref('1,1')
watch(() => props.photo.cells[0], (first) => first && (focused.value = key(first)))
const root = useTemplateRef<SVGSVGElement>('root')
function go(event: KeyboardEvent, cell: PhotoShown['cells'][number]) {
  const by = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key]
  if (by === undefined) {
    if (event.key !== 'Enter' && event.key !== ' ') return
    emit('choose', cell)
  } else {
    const [down = 0, right = 0] = by
    const ahead = props.photo.cells
      .map((one) => ({ one, along: (one.row - cell.row) * down + (one.column - cell.column) * right, aside: Math.abs((one.row - cell.row) * right) + Math.abs((one.column - cell.column) * down) }))
      .filter((one) => one.along > 0)
      .sort((a, b) => a.along + 3 * a.aside - b.along - 3 * b.aside)[0]?.one
    if (ahead) {
      focused.value = key(ahead)
      root.value?.querySelector<SVGElement>(`[data-cell="${key(ahead)}"]`)?.focus()
    }
  }
  event.preventDefault()
}

const names = ['upper left', 'upper right', 'lower right', 'lower left']
const dragged = ref<number | null>(null)
function drag(event: PointerEvent) {
  const matrix = dragged.value === null ? null : root.value?.getScreenCTM()
  if (!matrix || dragged.value === null) return
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  put(dragged.value, at.x, at.y)
}
function put(corner: number, x: number, y: number) {
  corners.value = corners.value.map((place, i) => (i === corner ? [Math.max(0, Math.min(props.picture.width, x)), Math.max(0, Math.min(props.picture.height, y))] : place))
}
function nudge(event: KeyboardEvent, corner: number) {
  const by = { ArrowUp: [0, -1], ArrowDown: [0, 1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] }[event.key]
  const [x = 0, y = 0] = corners.value[corner] ?? []
  if (by === undefined) return
  put(corner, x + (by[0] ?? 0) * (event.shiftKey ? 10 : 2), y + (by[1] ?? 0) * (event.shiftKey ? 10 : 2))
  event.preventDefault()
}
function begin(event: PointerEvent, corner: number) {
  dragged.value = corner
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
</script>

<template>
  <svg ref="root" class="photo-picture" :viewBox="`0 0 ${picture.width} ${picture.height}`" role="group" :aria-label="`Photograph of ${photo.block.name}`" @pointermove="drag" @pointerup="dragged = null">
    <image :href="picture.address" :width="picture.width" :height="picture.height" :class="{ grey: isGrey }" />
    <template v-if="!isMending">
      <g
        v-for="cell in photo.cells"
        :key="key(cell)"
        class="unit"
        :class="[kind(cell), { chosen: chosen === key(cell), planted: isPlanted(cell) }]"
        :data-cell="key(cell)"
        :data-verdict="cell.verdict"
        role="button"
        :tabindex="focused === key(cell) ? 0 : -1"
        :aria-label="`Row ${cell.row}, column ${cell.column}, ${cell.name}${cell.verdict === null ? '' : `: ${cell.isIgnored ? 'never mind' : cell.verdict}`}`"
        :aria-pressed="chosen === key(cell)"
        @click="emit('choose', cell)"
        @focus="focused = key(cell)"
        @keydown="go($event, cell)"
      >
        <polygon class="halo" :points="points(cell.corners)" :stroke-width="size * 0.9" />
        <polygon :points="points(cell.corners)" :stroke-width="size * (kind(cell) === 'right' ? 0.3 : 0.6)" :stroke-dasharray="kind(cell) === 'unsure' ? `${size * 1.6} ${size}` : undefined" />
        <g v-if="kind(cell) === 'wrong' || kind(cell) === 'unsure'" :transform="`translate(${middle(cell.corners, 0)} ${middle(cell.corners, 1)}) scale(${size})`">
          <rect x="-5.4" y="-1.5" width="10.8" height="3" rx="0.6" />
          <text y="0.7" text-anchor="middle">{{ cell.verdict }}</text>
        </g>
        <circle v-if="isPlanted(cell) || isGuess(cell)" :cx="middle(cell.corners, 0)" :cy="middle(cell.corners, 1)" :r="size * (isGuess(cell) ? 5.4 : 6.4)" :stroke-width="size * 0.5" :stroke-dasharray="isGuess(cell) ? `${size} ${size * 0.7}` : undefined" />
      </g>
    </template>
    <template v-else>
      <polygon class="frame" :points="points(corners)" :stroke-width="size * 0.4" />
      <g v-for="(corner, i) in corners" :key="i" class="corner" role="slider" tabindex="0" :aria-label="`Corner ${names[i]}`" :aria-valuenow="Math.round(corner[0] ?? 0)" :aria-valuetext="`${Math.round(corner[0] ?? 0)}, ${Math.round(corner[1] ?? 0)}`" @pointerdown="begin($event, i)" @keydown="nudge($event, i)">
        <circle class="reach" :cx="corner[0]" :cy="corner[1]" :r="size * 5" />
        <circle class="ring" :cx="corner[0]" :cy="corner[1]" :r="size * 2" :stroke-width="size * 0.5" />
        <circle :cx="corner[0]" :cy="corner[1]" :r="size * 0.35" />
      </g>
    </template>
  </svg>
</template>

<style scoped>
.photo-picture {
  display: block;
  width: 100%;
  max-height: calc(100vh - 150px);
  touch-action: none;
}

.grey {
  filter: grayscale(1);
}

.unit {
  cursor: pointer;
}

.unit polygon {
  fill: transparent;
  stroke: #ffffff;
}

.unit .halo {
  stroke: transparent;
}

.unit.wrong polygon:not(.halo) {
  stroke: var(--brick);
}

.unit.unsure polygon:not(.halo) {
  stroke: var(--ochre);
}

.unit.wrong .halo,
.unit.unsure .halo {
  stroke: #ffffff;
}

.unit:focus-visible .halo,
.unit.chosen .halo,
.unit:hover .halo {
  stroke: var(--thread);
}

.unit:focus-visible {
  outline: none;
}

.unit rect {
  fill: #ffffff;
}

.unit text {
  fill: var(--ink);
  font-family: var(--font);
  font-size: 2px;
  font-weight: 600;
}

.unit circle {
  fill: none;
  stroke: #ffffff;
}

.frame {
  fill: none;
  stroke: var(--thread);
}

.corner {
  cursor: grab;
}

.corner .reach {
  fill: transparent;
}

.corner .ring {
  fill: rgb(255 255 255 / 25%);
  stroke: #ffffff;
}

.corner:focus-visible .ring {
  stroke: var(--brick);
}

.corner circle:last-child {
  fill: var(--brick);
}
</style>
