<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { CornerName, Place, WallCell, WallShown } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import { asTyped } from '@/drawing/fractions'
import { pointsText } from '@/drawing/geometry'
import { readSize, written } from '@/drawing/fractions'
import { useWallStore } from '@/stores/wall'

/** Corners sewn on and flipped back: each has a handle to be dragged along the diagonal, or moved by keys. */
const props = defineProps<{ wall: WallShown; cell: WallCell }>()
const emit = defineEmits<{ corner: [corner: CornerName, size: string]; cornerTo: [from: CornerName, to: CornerName] }>()

const words: Record<CornerName, string> = { tl: 'top left', tr: 'top right', bl: 'bottom left', br: 'bottom right' }
const all: CornerName[] = ['tl', 'tr', 'bl', 'br']
const beside: Record<CornerName, Record<string, CornerName>> = {
  tl: { ArrowRight: 'tr', ArrowDown: 'bl' },
  tr: { ArrowLeft: 'tl', ArrowDown: 'br' },
  bl: { ArrowRight: 'br', ArrowUp: 'tl' },
  br: { ArrowLeft: 'bl', ArrowUp: 'tr' },
}

/** What one step of a key, or of the hand, is. */
const step = computed(() => (props.wall.face.units === 'mm' ? 5 : 0.25))
const colours = computed(() => new Map(props.wall.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
const patches = computed(() => props.wall.face.patches.filter((patch) => props.cell.patches.includes(patch.id)))
const box = computed(() => {
  const sum = (lines: { width: number }[], from: number, count: number) => lines.slice(from, from + count).reduce((all, line) => all + line.width, 0)
  const [left, top] = [sum(props.wall.columns, 0, props.cell.column - 1), sum(props.wall.rows, 0, props.cell.row - 1)]
  return { left, top, width: sum(props.wall.columns, props.cell.column - 1, props.cell.columnSpan), height: sum(props.wall.rows, props.cell.row - 1, props.cell.rowSpan) }
})
const most = computed(() => Math.min(box.value.width, box.value.height))
const leg = (corner: CornerName) => readSize(props.cell.corners?.[corner] ?? '0') || 0

function text(long: number) {
  const marks = props.wall.face.units === 'mm' ? 2 : 16
  return written(Math.round(long * marks), marks)
}
const held = ref<{ corner: CornerName; leg: number } | null>(null)
const at = (corner: CornerName): Place => {
  const long = Math.max(held.value?.corner === corner ? held.value.leg : leg(corner), most.value * 0.06)
  const { left, top, width, height } = box.value
  return [corner === 'tl' || corner === 'bl' ? left + long / 2 : left + width - long / 2, corner === 'tl' || corner === 'tr' ? top + long / 2 : top + height - long / 2]
}

/** A leg that was refused goes back to what it was. */
const again = ref(0)
const store = useWallStore()
watch(() => store.problem, (problem) => problem !== null && (again.value += 1))

const svg = ref<SVGSVGElement | null>(null)
function legAt(event: PointerEvent, corner: CornerName): number {
  const matrix = svg.value?.getScreenCTM()
  if (!matrix) return leg(corner)
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  const across = corner === 'tl' || corner === 'bl' ? x - box.value.left : box.value.left + box.value.width - x
  const down = corner === 'tl' || corner === 'tr' ? y - box.value.top : box.value.top + box.value.height - y
  return Math.min(most.value, Math.max(0, Math.round((across + down) / step.value) * step.value))
}

function grab(event: PointerEvent, corner: CornerName) {
  held.value = { corner, leg: leg(corner) }
  ;(event.target as Element).setPointerCapture?.(event.pointerId)
}

function drag(event: PointerEvent) {
  if (held.value !== null) held.value = { corner: held.value.corner, leg: legAt(event, held.value.corner) }
}

function release() {
  const now = held.value
  held.value = null
  if (now !== null && now.leg !== leg(now.corner)) give(now.corner, now.leg)
}

const give = (corner: CornerName, long: number) => emit('corner', corner, long <= 0 ? '' : text(long))

function key(event: KeyboardEvent, corner: CornerName) {
  const to = event.shiftKey ? beside[corner][event.key] : undefined
  const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key]
  if (to !== undefined) emit('cornerTo', corner, to)
  else if (!event.shiftKey && by !== undefined) give(corner, Math.min(most.value, Math.max(0, leg(corner) + by * step.value)))
  else if (event.key === 'Delete' || event.key === 'Backspace') give(corner, 0)
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <section class="flipped-corners" aria-label="Flipped corners">
    <svg ref="svg" :viewBox="`${box.left - most * 0.08} ${box.top - most * 0.08} ${box.width + most * 0.16} ${box.height + most * 0.16}`" @pointermove="drag" @pointerup="release" @pointercancel="held = null">
      <polygon v-for="patch in patches" :key="patch.id" :points="pointsText(patch.points)" :fill="colours.get(patch.fabric)" />
      <circle
        v-for="corner in all"
        :key="corner"
        class="handle"
        :class="{ none: leg(corner) === 0 }"
        :cx="at(corner)[0]"
        :cy="at(corner)[1]"
        :r="most * 0.075"
        :stroke-width="most * 0.02"
        role="slider"
        tabindex="0"
        :aria-label="`Corner ${words[corner]}, finished leg`"
        :aria-valuenow="leg(corner)"
        :aria-valuetext="leg(corner) === 0 ? 'none' : `${cell.corners?.[corner]} ${wall.face.units}`"
        aria-valuemin="0"
        :aria-valuemax="most"
        :data-corner="corner"
        @pointerdown.prevent="grab($event, corner)"
        @keydown="key($event, corner)"
      />
    </svg>
    <p v-if="held" class="soft" role="status">{{ words[held.corner] }}: {{ held.leg === 0 ? 'none' : `${text(held.leg)} ${wall.face.units}` }}</p>
    <p v-else class="soft">Drag a handle, or with keys: arrows for the size, Shift and an arrow to the next corner, Delete to take it away.</p>
    <div class="legs">
      <div v-for="corner in all" :key="`${corner}-${again}`" class="leg"><span aria-hidden="true">{{ words[corner] }}</span> <TextField :model-value="asTyped(cell.corners?.[corner] ?? '', wall.face.units)" placeholder="none" :label="`${words[corner]}, finished leg`" hides-label size="short" @done="emit('corner', corner, $event.trim())" /></div>
    </div>
  </section>
</template>

<style scoped>
.flipped-corners {
  display: grid;
  gap: 8px;
}

svg {
  width: 190px;
  max-width: 100%;
  touch-action: none;
}

.handle {
  fill: #fff;
  stroke: var(--ink);
  cursor: grab;
}

.handle.none {
  fill: #ffffffb0;
  stroke-dasharray: 0.06 0.06;
}

.legs {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 12px;
}

label {
  font-size: 15px;
}
</style>
