<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { swatchAddress } from '@/api/client'
import type { Place, WallCell, WallPlace, WallShown } from '@/api/types'
import { useTouchOnWall } from '@/composables/useTouchOnWall'
import { asOnRuler } from '@/drawing/fractions'
import { patchAt, pointsText, rulerMarks } from '@/drawing/geometry'

/** The block, face up, with rulers in finished units, a handle for each row and column, and the cells to choose from. */
const props = defineProps<{
  wall: WallShown
  selected: WallCell[]
  cursor: WallPlace
  lookTwice: WallPlace[]
  isGrey: boolean
  /** The fabric in the brush, if patches are being painted. */
  brush: string | null
  /** The patch the brush is over when it is moved by keys. */
  brushPatch: number | null
  line: { axis: 'columns' | 'rows'; number: number } | null
}>()
/** How many times as large as its place the wall is drawn. */
const zoom = defineModel<number>('zoom', { default: 1 })
const emit = defineEmits<{
  select: [place: WallPlace, isFurther: boolean]
  turn: []
  paint: [patch: number]
  line: [axis: 'columns' | 'rows', number: number]
}>()

const grid = ref<HTMLElement | null>(null)
const face = computed(() => props.wall.face)
const unit = computed(() => Math.max(face.value.width, face.value.height) / 640)
const fills = computed(() => new Map(face.value.fabrics.map((fabric) => [fabric.key, fabric.swatch ? `url(#cloth-${fabric.swatch})` : fabric.color])))
const patches = computed(() => new Map(face.value.patches.map((patch) => [patch.id, patch])))
/** All patches of a fabric in one path: a large block stays quick to draw anew. */
const cloths = computed(() => {
  const paths = new Map<string, string>()
  face.value.patches.forEach((patch) => paths.set(patch.fabric, `${paths.get(patch.fabric) ?? ''}M${pointsText(patch.points)}Z`))
  return [...paths.entries()].map(([fabric, path]) => ({ fabric, path }))
})
const swatches = computed(() => face.value.fabrics.filter((fabric) => fabric.swatch !== null))
const sums = (lines: { width: number }[]) => lines.reduce<number[]>((all, line) => [...all, (all.at(-1) ?? 0) + line.width], [0])
const xs = computed(() => sums(props.wall.columns))
const ys = computed(() => sums(props.wall.rows))
const inLookTwice = computed(() => new Set(props.lookTwice.map(String)))

const boxes = computed(() =>
  props.wall.cells.map((cell) => {
    const [left, top] = [xs.value[cell.column - 1] ?? 0, ys.value[cell.row - 1] ?? 0]
    return { key: `${cell.row}.${cell.column}`, cell, spoken: spoken(cell), left, top, width: (xs.value[cell.column + cell.columnSpan - 1] ?? 0) - left, height: (ys.value[cell.row + cell.rowSpan - 1] ?? 0) - top }
  }),
)
/** Marks shrink with the smallest cell; where it is tiny, only what is wrong is marked. */
const mark = computed(() => Math.min(1, ...boxes.value.map((box) => Math.min(box.width, box.height) / unit.value / 62)) * unit.value)
const isTiny = computed(() => mark.value < unit.value * 0.55)
const marked = computed(() => ({
  different: boxes.value.filter((box) => box.cell.different),
  odd: boxes.value.filter((box) => box.cell.odd && !box.cell.odd.isMeant),
  twice: boxes.value.filter((box) => !isTiny.value && inLookTwice.value.has(String([box.cell.row, box.cell.column]))),
  hand: boxes.value.filter((box) => !isTiny.value && box.cell.hand),
}))
const rows = computed(() => {
  const byRow = new Map<number, typeof boxes.value>()
  boxes.value.forEach((box) => byRow.set(box.cell.row, [...(byRow.get(box.cell.row) ?? []), box]))
  return [...byRow.entries()]
})
const chosen = computed(() => new Set(props.selected.map((cell) => `${cell.row}.${cell.column}`)))
const isHere = (cell: WallCell) =>
  cell.row <= props.cursor[0] && props.cursor[0] < cell.row + cell.rowSpan && cell.column <= props.cursor[1] && props.cursor[1] < cell.column + cell.columnSpan
const share = (value: number, whole: number) => `${((value / whole) * 100).toFixed(4)}%`
const ring = computed(() => (props.brushPatch === null ? null : patches.value.get(props.brushPatch)?.points ?? null))

function spoken(cell: WallCell) {
  return [
    `Row ${cell.row}, column ${cell.column}: ${cell.name}, ${cell.signature}`,
    cell.hand && `${cell.hand} hand`,
    cell.odd && !cell.odd.isMeant && 'odd one out',
    cell.different && `not as in the picture: ${cell.different}`,
    inLookTwice.value.has(String([cell.row, cell.column])) && 'look twice',
  ]
    .filter(Boolean)
    .join(', ')
}

/** The focus follows the cursor, but only when it is on the wall already. */
watch(
  () => [props.cursor, props.wall],
  async () => {
    if (!grid.value?.contains(document.activeElement)) return
    await nextTick()
    grid.value.querySelector<HTMLElement>('[tabindex="0"]')?.focus()
  },
)

const placeOf = (event: PointerEvent): Place | null => {
  const box = grid.value?.getBoundingClientRect()
  return box ? [((event.clientX - box.left) / box.width) * face.value.width, ((event.clientY - box.top) / box.height) * face.value.height] : null
}

function wallPlace([x, y]: Place): WallPlace {
  const at = (lines: number[], value: number) => Math.min(Math.max(lines.findIndex((line) => line > value), 1), lines.length - 1) || lines.length - 1
  return [at(ys.value, y), at(xs.value, x)]
}

const isDragging = ref(false)

function press(event: PointerEvent) {
  if (event.pointerType === 'touch') {
    grid.value?.setPointerCapture(event.pointerId)
    touch.down(event)
  } else if (event.button === 0) {
    touchDown(event)
  }
}

/** A finger or the mouse comes down on a place and means it. */
function touchDown(event: PointerEvent) {
  const place = placeOf(event)
  if (place === null) return
  if (props.brush !== null) {
    const patch = patchAt(face.value.patches, place)
    if (patch !== null) emit('paint', patch)
    return
  }
  isDragging.value = true
  if (event.pointerType !== 'touch') grid.value?.setPointerCapture(event.pointerId)
  emit('select', wallPlace(place), event.shiftKey)
  grid.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus({ preventScroll: true })
}

const touch = useTouchOnWall({
  zoom,
  scroller: () => grid.value?.closest<HTMLElement>('[data-scrolls]') ?? null,
  tap: (event) => (touchDown(event), (isDragging.value = false)),
  drag: (event, from) => {
    if (from !== null) touchDown(from)
    goOver(event)
  },
  end: () => (isDragging.value = false),
})

function drag(event: PointerEvent) {
  if (event.pointerType === 'touch') touch.move(event)
  else goOver(event)
}

function release(event: PointerEvent) {
  if (event.pointerType === 'touch') touch.up(event)
  isDragging.value = false
}

/** Control and the wheel make it larger or smaller under the pointer. */
function wheel(event: WheelEvent) {
  if (!event.ctrlKey) return
  event.preventDefault()
  void touch.zoomTo(zoom.value * Math.exp(-event.deltaY / 300), event.clientX, event.clientY)
}

function goOver(event: PointerEvent) {
  const place = isDragging.value ? placeOf(event) : null
  if (place !== null) {
    const at = wallPlace(place)
    if (String(at) !== String(props.cursor)) emit('select', at, true)
  }
}
</script>

<template>
  <div class="wall-grid" :style="{ '--ratio': face.width / face.height, '--zoom': zoom }">
    <div class="ruler across" aria-hidden="true">
      <span v-for="inch in rulerMarks(face.width).marks" :key="inch" :style="{ left: share(inch, face.width) }">{{ asOnRuler(`${inch}`, face.units) }}</span>
    </div>
    <div class="ruler down" aria-hidden="true">
      <span v-for="inch in rulerMarks(face.height).marks" :key="inch" :style="{ top: share(inch, face.height) }">{{ asOnRuler(`${inch}`, face.units) }}</span>
    </div>
    <div class="handles across" role="group" aria-label="Columns">
      <button v-for="(column, i) in wall.columns" :key="i" v-tip="`Column ${i + 1}: ${column.size} ${face.units}`" type="button" :class="{ chosen: line?.axis === 'columns' && line.number === i + 1 }" :style="{ left: share(xs[i] ?? 0, face.width), width: share(column.width, face.width) }" :aria-label="`Column ${i + 1}, ${column.size} ${face.units}`" @click="emit('line', 'columns', i + 1)" />
    </div>
    <div class="handles down" role="group" aria-label="Rows">
      <button v-for="(row, i) in wall.rows" :key="i" v-tip="`Row ${i + 1}: ${row.size} ${face.units}`" type="button" :class="{ chosen: line?.axis === 'rows' && line.number === i + 1 }" :style="{ top: share(ys[i] ?? 0, face.height), height: share(row.width, face.height) }" :aria-label="`Row ${i + 1}, ${row.size} ${face.units}`" @click="emit('line', 'rows', i + 1)" />
    </div>
    <div class="block" :class="{ painting: brush !== null }">
      <svg :viewBox="`0 0 ${face.width} ${face.height}`" :class="{ grey: isGrey }" aria-hidden="true">
        <defs>
          <pattern v-for="fabric in swatches" :id="`cloth-${fabric.swatch}`" :key="fabric.key" patternUnits="userSpaceOnUse" :width="unit * 120" :height="unit * 120">
            <image :href="swatchAddress(fabric.swatch ?? '')" :width="unit * 120" :height="unit * 120" preserveAspectRatio="none" />
          </pattern>
        </defs>
        <path v-for="cloth in cloths" :key="cloth.fabric" :data-fabric="cloth.fabric" :d="cloth.path" :fill="fills.get(cloth.fabric)" :stroke="fills.get(cloth.fabric)" :stroke-width="unit * 0.6" />
      </svg>
      <svg class="marks" :viewBox="`0 0 ${face.width} ${face.height}`" aria-hidden="true">
        <path class="lines" :d="boxes.map((box) => `M${box.left} ${box.top}h${box.width}v${box.height}h${-box.width}z`).join('')" :stroke-width="unit" />
        <rect v-for="box in marked.different" :key="box.key" class="different" :x="box.left + unit * 5" :y="box.top + unit * 5" :width="box.width - unit * 10" :height="box.height - unit * 10" :stroke-width="unit * 4" :stroke-dasharray="`${unit * 10} ${unit * 6}`" />
        <g v-for="box in marked.odd" :key="box.key" class="odd" :transform="`translate(${box.left + box.width / 2} ${box.top + box.height / 2}) scale(${mark * (isTiny ? 1.6 : 1)})`">
          <circle r="17" /><path d="M-7 4 A8 8 0 1 1 5 7 M8 1 L5 8 L-2 6" />
        </g>
        <g v-for="box in marked.twice" :key="box.key" class="twice" :transform="`translate(${box.left + box.width - mark * 15} ${box.top + mark * 13}) scale(${mark})`">
          <path class="ground" d="M-11 0 C-6 -8 6 -8 11 0 C6 8 -6 8 -11 0Z" /><circle r="3" />
        </g>
        <g v-for="box in marked.hand" :key="box.key" class="hand" :transform="`translate(${box.left + mark * 14} ${box.top + box.height - mark * 14}) scale(${mark})`">
          <rect x="-10" y="-10" width="20" height="20" rx="4" /><text y="5.5" text-anchor="middle">{{ box.cell.hand === 'left' ? 'L' : 'R' }}</text>
        </g>
        <polygon v-if="ring" class="brush-ring" :points="pointsText(ring)" :stroke-width="unit * 5" />
      </svg>
      <div ref="grid" class="cells" role="grid" :aria-label="`${wall.block.name}, ${wall.rows.length} rows, ${wall.columns.length} columns`" aria-multiselectable="true" @mousedown.prevent @pointerdown="press" @pointermove="drag" @pointerup="release" @pointercancel="release" @wheel="wheel" @dblclick="brush === null && emit('turn')">
        <div v-for="[row, inRow] in rows" :key="row" role="row">
          <div
            v-for="box in inRow"
            :key="box.cell.column"
            role="gridcell"
            :tabindex="isHere(box.cell) ? 0 : -1"
            :aria-selected="chosen.has(box.key)"
            :aria-label="box.spoken"
            :data-cell="box.key"
            :data-odd="box.cell.odd && !box.cell.odd.isMeant ? 'odd' : undefined"
            :data-turn="box.cell.turn"
            :data-kind="box.cell.kind"
            :style="{ left: share(box.left, face.width), top: share(box.top, face.height), width: share(box.width, face.width), height: share(box.height, face.height) }"
          />
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.wall-grid {
  position: relative;
  display: grid;
  --handle: 44px;

  grid-template: 20px var(--handle) minmax(0, 1fr) / 26px var(--handle) minmax(0, 1fr);
  width: min(calc(100% * var(--zoom)), calc((var(--wall-height) * var(--zoom) - 20px - var(--handle)) * var(--ratio) + 26px + var(--handle)));
  margin: 0 auto;
}

.ruler {
  position: relative;
  color: var(--soft);
  font-size: 13px;
  line-height: 20px;
  pointer-events: none;
}

.ruler span {
  position: absolute;
}

.ruler.across {
  top: 14px;
  grid-area: 1 / 3;
}

.ruler.across span {
  transform: translateX(-50%);
}

.ruler.down {
  left: 14px;
  grid-area: 3 / 1;
}

.ruler.down span {
  right: 6px;
  transform: translateY(-50%);
}

.handles {
  position: relative;
}

.handles.across {
  grid-area: 2 / 3;
}

.handles.down {
  grid-area: 3 / 2;
}

.handles button {
  position: absolute;
  border: 2px solid transparent;
  border-radius: 6px;
  background: #e3e6e1 content-box;
  cursor: pointer;
}

.handles.across button {
  height: var(--handle);
  padding: 16px 0 2px;
}

.handles.down button {
  width: var(--handle);
  padding: 0 2px 0 16px;
}

.handles button:hover {
  background-color: var(--thread-rest);
}

.handles button.chosen {
  background-color: var(--thread);
}

.block {
  position: relative;
  grid-area: 3 / 3;
  aspect-ratio: var(--ratio);
}

.block svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
}

.grey {
  filter: grayscale(1);
}

.lines {
  fill: none;
  stroke: #fff;
  stroke-opacity: 0.55;
}

.cells,
.cells [role='row'] {
  position: absolute;
  inset: 0;
}

.cells {
  touch-action: none;
  cursor: cell;
}

.cells [role='row'] {
  pointer-events: none;
}

.painting .cells {
  cursor: crosshair;
}

[role='gridcell'] {
  position: absolute;
}

[role='gridcell'][aria-selected='true'] {
  box-shadow:
    inset 0 0 0 3px var(--thread),
    inset 0 0 0 6px #fff;
}

[role='gridcell']:focus-visible {
  z-index: 1;
  outline: 4px solid #e9b949;
  outline-offset: 0;
}

.odd circle {
  fill: #fff;
  stroke: var(--brick);
  stroke-width: 3;
}

.odd path {
  fill: none;
  stroke: var(--brick);
  stroke-width: 2.6;
}

.different {
  fill: none;
  stroke: var(--ochre);
}

.twice .ground {
  fill: #fff;
  fill-opacity: 0.9;
  stroke: var(--ink);
  stroke-width: 1.4;
}

.twice circle {
  fill: var(--ink);
}

.hand rect {
  fill: #fff;
  stroke: var(--ink);
  stroke-width: 1.4;
}

.hand text {
  fill: var(--ink);
  font: 700 15px var(--font);
}

.brush-ring {
  fill: none;
  stroke: #e9b949;
  stroke-linejoin: round;
}
</style>
