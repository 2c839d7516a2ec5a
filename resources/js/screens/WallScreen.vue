<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { Axis, CornerName, FollowShown, TrayKind, WallCell, WallFabric, WallPlace } from '@/api/types'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import CheckField from '@/components/controls/CheckField.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import StationHints from '@/components/StationHints.vue'
import StationRail from '@/components/StationRail.vue'
import DrawingBoard from '@/components/wall/DrawingBoard.vue'
import DrawingPanel from '@/components/wall/DrawingPanel.vue'
import FabricPanel from '@/components/wall/FabricPanel.vue'
import FabricShelf from '@/components/wall/FabricShelf.vue'
import KeysDialog from '@/components/wall/KeysDialog.vue'
import LinePanel from '@/components/wall/LinePanel.vue'
import OwnUnits from '@/components/wall/OwnUnits.vue'
import SelectionPanel from '@/components/wall/SelectionPanel.vue'
import SizePanel from '@/components/wall/SizePanel.vue'
import UnitTray from '@/components/wall/UnitTray.vue'
import WallGrid from '@/components/wall/WallGrid.vue'
import WholePanel from '@/components/wall/WholePanel.vue'
import { useDrawingBoard } from '@/composables/useDrawingBoard'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { provideUnits } from '@/composables/useUnits'
import { useStations } from '@/composables/useStations'
import { MOST_ZOOM } from '@/composables/useTouchOnWall'
import { useStationKeys, type StationKey } from '@/composables/useStationKeys'
import FractionText from '@/drawing/FractionText.vue'
import { counted } from '@/drawing/words'
import { useRoute, useRouter } from 'vue-router'
import { useWallStore } from '@/stores/wall'

const props = defineProps<{ block: number }>()

const wall = useWallStore()
const tray = shallowRef<TrayKind[]>([])
const own = shallowRef<TrayKind[]>([])
const follows = shallowRef<FollowShown[]>([])
const figureKey = ref<string | null>(null)
const isPainting = ref(false)
const brushAt = ref(0)
const isGrey = ref(false)
const zoom = ref(1)
/** Marks stay few: who may be taken for another is marked when it is chosen, or all when asked. */
const isTwiceShown = ref(false)
const isFabricOpen = ref(false)
/** Whether a unit from the tray goes over all chosen places as one. */
const isAsOne = ref(false)
const line = ref<{ axis: Axis; number: number } | null>(null)
const help = ref<InstanceType<typeof KeysDialog> | null>(null)

const [route, router] = [useRoute(), useRouter()]
watch(
  () => props.block,
  async (block) => {
    const drawn = /^(\d+)\.(\d+)$/.exec(String(route.query.draw ?? ''))
    await wall.open(block)
    if (drawn !== null) await wall.draw([Number(drawn[1]), Number(drawn[2])])
  },
  { immediate: true },
)
// Whoever loads the page again finds the unit still on the drawing board.
watch(
  () => wall.board,
  (place) => void router.replace({ query: place === null || wall.path !== '' ? {} : { draw: place.join('.') } }),
)

const shown = computed(() => wall.shown)
provideUnits(() => shown.value?.face.units)
useScreenTitle(() => (shown.value === null ? null : `Wall, ${shown.value.block.name}`))
const { stations, load: loadRail } = useStations(() => props.block)
watch(() => wall.figures, loadRail)
const fabrics = computed<WallFabric[]>(() => shown.value?.face.fabrics ?? [])
const byKey = (key: string | null | undefined) => fabrics.value.find((fabric) => fabric.key === key)
const figure = computed(() => byKey(figureKey.value) ?? byKey(shown.value?.firstFigure))
const trio = computed(() => shown.value?.trios[figure.value?.key ?? ''])
const ground = computed(() => byKey(trio.value?.[0]) ?? figure.value)
const second = computed(() => byKey(trio.value?.[1]) ?? figure.value)
const isAt = ([row, column]: WallPlace, cell: WallCell | undefined) => row === cell?.row && column === cell.column
const twice = computed(() => wall.figures?.lookTwice ?? [])
const isTwice = computed(() => wall.selected.length === 1 && twice.value.some((place) => isAt(place, wall.selected[0])))
const brushPatch = computed(() => (isPainting.value ? wall.here?.patches[brushAt.value % (wall.here?.patches.length ?? 1)] ?? null : null))
/** Said before it happens: copies that are mirror images come out in the other hand. */
const otherHand = computed(() => {
  const hand = wall.selected.find((cell) => cell.hand !== null)?.hand
  return hand ? follows.value.find((one) => one.name === wall.follow)?.otherHand[hand] ?? '' : ''
})

onMounted(async () => {
  const told = await api.starts().catch(() => null)
  ;[tray.value, own.value, follows.value] = [told?.tray ?? [], told?.own ?? [], told?.follows ?? []]
  window.addEventListener('focus', wall.refresh)
  window.addEventListener('beforeunload', warnOfUnsent)
})
onBeforeUnmount(() => {
  window.removeEventListener('focus', wall.refresh)
  window.removeEventListener('beforeunload', warnOfUnsent)
})

/** The browser asks before it lets go of changes that wait to be sent. */
function warnOfUnsent(leaving: BeforeUnloadEvent) {
  if (wall.isUnsent) leaving.preventDefault()
}

function place(kind: string, asOne: boolean) {
  const key = figure.value?.key
  if (key === undefined) return
  const chosen: [number, number][] = asOne ? [wall.anchor, wall.cursor] : wall.places
  void wall.edit({ do: 'place', kind, places: chosen, figure: key, ...(asOne ? { asOne: true as const } : {}) })
}

function paint(patch: number | null, fabric = figure.value?.key) {
  if (patch !== null && fabric !== undefined) void wall.edit({ do: 'paint', patch: patch + (shown.value?.firstPatch ?? 0), fabric })
}

const boardPatch = (id: number) => (isPainting.value ? paint(id) : board.choose(id))

async function keepUnit(name: string) {
  if (wall.board !== null && shown.value !== null) own.value = await wall.keepUnit(name)
}

/** One unit over all chosen cells, laid on the drawing board. */
async function drawAsOne() {
  const chosen = wall.places
  const first = chosen[0]
  if (first === undefined) return
  if (chosen.length > 1) await wall.edit({ do: 'draw', places: chosen, start: 'picture' })
  await wall.draw(first)
}

async function drawWhole() {
  await wall.edit({ do: 'as-one' })
  await wall.draw([1, 1])
}

/** On the drawing board what is chosen takes the fabric; else it is the next figure. */
function chooseFabric(key: string) {
  figureKey.value = key
  if (wall.board !== null) board.give(fabrics.value.findIndex((fabric) => fabric.key === key))
}

function stepFabric(by: number) {
  const at = fabrics.value.findIndex((fabric) => fabric.key === figure.value?.key)
  figureKey.value = fabrics.value[(at + by + fabrics.value.length) % fabrics.value.length]?.key ?? null
}

const go = (down: number, right: number, isFurther: boolean) => () => {
  const cell = wall.here
  // Across a cell that spans several places, one step leaves it.
  const row = down > 0 && cell ? cell.row + cell.rowSpan : down < 0 && cell ? cell.row - 1 : wall.cursor[0]
  const column = right > 0 && cell ? cell.column + cell.columnSpan : right < 0 && cell ? cell.column - 1 : wall.cursor[1]
  wall.select([row, column], isFurther)
}

const stepFollow = () => (wall.follow = follows.value[(follows.value.findIndex((one) => one.name === wall.follow) + 1) % follows.value.length]?.name ?? 'none')

const arrows: [string, number, number][] = [
  ['ArrowUp', -1, 0],
  ['ArrowDown', 1, 0],
  ['ArrowLeft', 0, -1],
  ['ArrowRight', 0, 1],
]

const board = useDrawingBoard((patch, fabricAt) => paint(patch, fabrics.value[fabricAt]?.key))

/** The same at the wall and at the drawing board. */
const everywhere: StationKey[] = [
  { key: 'f', words: 'next fabric', act: () => stepFabric(1) },
  { key: 'f', shift: true, words: 'fabric before', act: () => stepFabric(-1) },
  { key: 'p', words: 'paint patches, or stop', act: togglePainting },
  { key: 'g', words: 'grey view', act: () => (isGrey.value = !isGrey.value) },
  { key: 'z', control: true, words: 'undo', act: wall.undo },
  { key: 'z', control: true, shift: true, words: 'do again', act: wall.redo },
  { key: 'y', control: true, words: 'do again', act: wall.redo },
  { key: '?', words: 'show the keys', act: () => help.value?.show() },
]
const wallKeys = computed<StationKey[]>(() => [
  ...arrows.map(([key, down, right]) => ({ key, words: 'go from unit to unit', act: go(down, right, false) })),
  ...arrows.map(([key, down, right]) => ({ key, shift: true, words: 'choose several', act: go(down, right, true) })),
  ...arrows.map(([key, down, right]) => ({ key, control: true, words: 'move what is chosen', act: () => wall.carry(down, right) })),
  ...tray.value.map((kind, i) => ({ key: `${(i + 1) % 10}`, words: `place a ${kind.name}`, act: () => placeKind(kind.kind, false) })),
  ...tray.value.map((kind, i) => ({ key: `${(i + 1) % 10}`, shift: true, words: 'with Shift: one over all chosen places', act: () => placeKind(kind.kind, true) })),
  { key: 'w', words: 'place the last kind as one over all chosen', act: () => place(lastKind.value, true) },
  { key: 't', words: 'turn a quarter clockwise', act: () => wall.move({ turn: 90, mirrored: false }) },
  { key: 't', shift: true, words: 'turn a quarter anticlockwise', act: () => wall.move({ turn: 270, mirrored: false }) },
  { key: 'm', words: 'mirror', act: () => wall.move({ turn: 0, mirrored: true }) },
  { key: 's', words: 'swap the fabrics', act: () => wall.edit({ do: 'swap', places: wall.places }) },
  { key: 'Delete', words: 'back to a plain patch', act: clear },
  { key: 'Backspace', words: 'back to a plain patch', act: clear },
  { key: 'l', words: 'mark the units to look at twice, or not', act: () => (isTwiceShown.value = !isTwiceShown.value) },
  { key: 'o', words: 'mend the odd one, or go to it', act: wall.mend },
  { key: 'k', words: "it's meant to be so", act: wall.meant },
  { key: 'n', words: 'next patch for the brush', act: () => (brushAt.value += 1) },
  { key: ' ', words: 'paint this patch', act: () => paint(brushPatch.value) },
  { key: 'y', words: 'copies follow: next way', act: stepFollow },
  { key: 'd', words: 'draw this unit by cutting', act: () => wall.draw(wall.cursor) },
  { key: 'e', words: 'open the small grid', act: wall.goInto },
  { key: 'Escape', words: 'stop painting, or leave the small grid', act: leave },
  { key: 'c', control: true, words: 'copy', act: wall.copy },
  { key: 'x', control: true, words: 'cut', act: cut },
  { key: 'v', control: true, words: 'paste', act: wall.paste },
])
const keys = computed(() => (wall.board === null ? [...wallKeys.value, ...everywhere] : [...board.keys.value, ...everywhere]))
useStationKeys(() => keys.value, '.wall')

const lastKind = ref('flying-geese')

function setCorner(corner: CornerName, size: string) {
  const fabric = figure.value?.key
  if (fabric !== undefined) void wall.edit({ do: 'corner', places: wall.places, corner, fabric, ...(size === '' ? {} : { size }) })
}

function clear() {
  void wall.edit({ do: 'clear', places: wall.places })
}

function cut() {
  wall.copy()
  clear()
}

function togglePainting() {
  ;[isPainting.value, brushAt.value] = [!isPainting.value, 0]
}

function leave() {
  if (isPainting.value) isPainting.value = false
  else if (wall.path !== '') void wall.goOut()
  else wall.select(wall.cursor)
}

async function addFabric() {
  const before = fabrics.value.map((fabric) => fabric.key)
  await wall.edit({ do: 'fabric', name: 'New fabric', color: '#8a9aa5' })
  figureKey.value = fabrics.value.find((fabric) => !before.includes(fabric.key))?.key ?? figureKey.value
  isFabricOpen.value = true
}

/** As one where that was asked for, by key or by the switch in the tray. */
function placeKind(kind: string, asOne: boolean) {
  lastKind.value = kind
  place(kind, asOne || (isAsOne.value && wall.selected.length > 1))
}
</script>

<template>
  <div class="wall-screen">
    <StationRail :stations="stations" :block="block" :name="shown?.block.name" here="wall" />
    <main v-if="shown" class="wall">
      <header>
        <div>
          <h1>{{ shown.block.name }}</h1>
          <p class="soft">
            <template v-if="wall.path !== ''">
              <button type="button" class="link-button" @click="wall.goOut">Back to the whole block</button>
              <CheckField v-if="shown.alike > 1" v-model="wall.isAlone" class="alone">change this one only ({{ shown.alike }} are alike)</CheckField>
            </template>
            <template v-else><FractionText :text="shown.face.finished.join(' x ')" /> {{ shown.face.units }} finished · {{ shown.columns.length }} x {{ shown.rows.length }}</template>
          </p>
        </div>
        <div class="follow"><span aria-hidden="true">Copies follow</span> <ChoiceField v-model="wall.follow" label="Copies follow" hides-label :choices="follows.map((one) => ({ value: one.name, words: one.words }))" /></div>
        <div class="tools">
          <button v-tip="shown.history.undo ? `Undo: ${shown.history.undo} (Ctrl Z)` : 'Nothing to undo'" type="button" :disabled="shown.history.undo === null" @click="wall.undo">Undo</button>
          <button v-tip="shown.history.redo ? `Do again: ${shown.history.redo} (Ctrl Y)` : 'Nothing to do again'" type="button" :disabled="shown.history.redo === null" @click="wall.redo">Redo</button>
          <button v-tip="'Grey view (G)'" type="button" :aria-pressed="isGrey" @click="isGrey = !isGrey">{{ isGrey ? 'Colour' : 'Grey' }}</button>
          <button v-tip="'The keys (?)'" type="button" @click="help?.show()">Keys</button>
        </div>
        <p class="saved soft" role="status">{{ wall.isUnsent ? 'Waiting to be saved' : wall.problem ? 'Not saved' : wall.isSaving ? 'Saving' : 'Saved' }}</p>
        <StationHints at="wall" />
      </header>
      <ProblemNote v-if="wall.problem" class="problem" :text="wall.problem" @close="wall.problem = null">
        <template v-if="wall.held">
          <ElButton @click="wall.settle(false)">Show the newest</ElButton>
          <ElButton @click="wall.settle(true)">Make my change on top of it</ElButton>
        </template>
      </ProblemNote>
      <div class="picture" :class="{ enlarged: zoom > 1 }" data-work data-scrolls>
        <div v-if="wall.drawing" class="board">
          <DrawingBoard :drawing="wall.drawing" :fabrics="fabrics" :at="board.at.value" :from="board.from.value" :is-through="board.isThrough.value" :chosen="board.chosen.value" :is-painting="isPainting" :label="`The unit in row ${wall.drawing.row}, column ${wall.drawing.column}, large: ${counted(wall.drawing.patches.length, 'patch', 'patches')}`" :class="{ grey: isGrey }" @mark="board.mark" @cut="board.cut" @patch="boardPatch" />
        </div>
        <WallGrid
          v-else
          v-model:zoom="zoom"
          :wall="shown"
          :selected="wall.selected"
          :cursor="wall.cursor"
          :look-twice="isTwiceShown ? twice : twice.filter((place) => wall.selected.length === 1 && isAt(place, wall.selected[0]))"
          :is-grey="isGrey"
          :brush="isPainting ? figure?.key ?? null : null"
          :brush-patch="brushPatch"
          :line="line"
          @select="wall.select"
          @turn="wall.move({ turn: 90, mirrored: false })"
          @paint="paint"
          @line="(axis, number) => (line = { axis, number })"
        />
      </div>
      <div v-if="wall.drawing === null" class="zoom" role="group" aria-label="Size of the wall">
        <button v-tip="'Smaller'" type="button" aria-label="Smaller wall" :disabled="zoom <= 1" @click="zoom = Math.max(1, zoom / 1.5)">−</button>
        <button v-tip="'Larger'" type="button" aria-label="Larger wall" :disabled="zoom >= MOST_ZOOM" @click="zoom = Math.min(MOST_ZOOM, zoom * 1.5)">+</button>
      </div>
      <footer v-if="figure && ground && second">
        <UnitTray v-if="wall.board === null" :kinds="[...tray, ...own]" :figure="figure" :ground="ground" :second="second" :is-several="wall.selected.length > 1" :is-as-one="isAsOne" @place="placeKind" @as-one="isAsOne = !isAsOne" />
        <FabricShelf :fabrics="fabrics" :figure="figure.key" :is-painting="isPainting" :is-open="isFabricOpen" @choose="chooseFabric" @paint="togglePainting" @open="isFabricOpen = !isFabricOpen" @add="addFabric" />
      </footer>
    </main>
    <aside v-if="shown" class="side">
      <DrawingPanel
        v-if="wall.drawing"
        :drawing="wall.drawing"
        :units="shown.face.units"
        :cell="wall.cellAt([wall.drawing.row, wall.drawing.column])"
        :is-through="board.isThrough.value"
        :can-sew-back="board.canSewBack.value"
        :begun="board.from.value !== null"
        @close="wall.leaveBoard"
        @through="board.isThrough.value = !board.isThrough.value"
        @sew-back="board.sewBack"
        @start="wall.board && wall.edit({ do: 'draw', places: [wall.board], start: $event })"
        @name="wall.board && wall.edit({ do: 'label', places: [wall.board], label: $event === '' ? null : $event })"
        @keep="keepUnit"
        @cut="board.cutAlong"
      />
      <FabricPanel v-if="isFabricOpen && figure" :fabric="figure" :others="fabrics.filter((one) => one.key !== figure?.key)" @keydown.esc.stop="isFabricOpen = false" @edit="wall.edit" @swatch="wall.giveSwatch(figure.key, $event)" @take-swatch="wall.takeSwatch(figure.key)" @close="isFabricOpen = false" />
      <LinePanel v-if="line" :wall="shown" :axis="line.axis" :number="Math.min(line.number, (line.axis === 'columns' ? shown.columns : shown.rows).length)" @keydown.esc.stop="line = null" @edit="wall.edit" @close="line = null" />
      <SelectionPanel v-if="wall.board === null" :wall="shown" :cells="wall.selected" :is-twice="isTwice" :path="wall.path" @move="wall.move" @swap="wall.edit({ do: 'swap', places: wall.places })" @clear="clear" @mend="wall.mend" @meant="wall.meant" @open="wall.goInto" @corner="setCorner" @corner-to="(corner, to) => wall.edit({ do: 'corner-to', places: wall.places, corner, to })" @lay="wall.edit({ do: 'lay', cells: [$event] })" @draw="drawAsOne" @group="wall.edit({ do: 'group', places: wall.places })" @open-out="wall.edit({ do: 'open-out', places: wall.places })" @name="wall.edit({ do: 'label', places: wall.places, label: $event === '' ? null : $event })" />
      <WholePanel v-if="wall.board === null" :wall="shown" :other-hand="otherHand" :is-twice-shown="isTwiceShown" @draw-whole="drawWhole" @show-twice="isTwiceShown = !isTwiceShown" />
      <OwnUnits v-if="wall.board === null" :own="own" @changed="own = $event" />
      <SizePanel v-if="wall.board === null" :wall="shown" :is-whole="wall.path === ''" @edit="wall.edit" @units="wall.measureIn" />
    </aside>
    <main v-else class="waiting">
      <ProblemNote v-if="wall.problem" :text="wall.problem" @close="wall.problem = null"><ElButton @click="wall.open(block)">Try again</ElButton></ProblemNote>
      <p v-else class="soft" role="status">Hanging the block on the wall</p>
    </main>
    <KeysDialog ref="help" :keys="keys" />
  </div>
</template>

<style scoped>
.wall-screen {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 316px;
  height: 100%;
  min-height: 600px;
}

.wall {
  position: relative;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  min-width: 0;
  min-height: 0;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding: 12px 20px 6px 24px;
}

.alone {
  padding-left: 16px;
}

.follow {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-left: auto;
}

.tools {
  display: flex;
}

.tools button {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid var(--hair);
  background: var(--paper);
  cursor: pointer;
}

.tools button + button {
  border-left: 0;
}

.tools button:disabled {
  color: #6f7880;
  cursor: default;
}

.tools [aria-pressed='true'] {
  background: var(--thread);
  color: #fff;
}

.saved {
  min-width: 56px;
}

.problem {
  position: absolute;
  z-index: 3;
  top: 66px;
  left: 24px;
  right: 24px;
}

.picture {
  --wall-height: 100cqh;

  grid-area: 2 / 1;

  container-type: size;
  min-height: 0;
  padding: 0;
  margin: 0 20px 8px;
}

.picture.enlarged {
  overflow: auto;
}

.zoom {
  z-index: 2;
  display: flex;
  grid-area: 2 / 1;
  place-self: end;
  margin: 0 14px 12px;
}

.zoom button {
  min-width: 44px;
  min-height: 44px;
  border: 1px solid var(--hair);
  background: var(--paper);
  font-size: 20px;
  cursor: pointer;
}

.zoom button:disabled {
  color: var(--soft);
  cursor: default;
}

.board {
  height: 100cqh;
  padding: 6px 0;
}

.board .grey {
  filter: grayscale(1);
}

footer {
  display: grid;
  grid-row: 3;
  grid-template-columns: minmax(0, 1fr);
  padding: 4px 20px 6px;
  background: var(--paper);
  border-top: 1px solid var(--hair);
}

.side {
  padding: 16px 20px;
  background: var(--paper);
  border-left: 1px solid var(--hair);
  overflow-y: auto;
}

.side > * + * {
  margin-top: 12px;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}

@media (max-width: 900px) {
  .wall-screen {
    display: flex;
    flex-direction: column;
    height: auto;
  }

  .wall {
    display: flex;
    flex-direction: column;
  }

  .picture {
    height: min(92vw, 720px);
  }

  .zoom {
    align-self: end;
  }

  .side {
    display: block;
    columns: 2;
    column-gap: 32px;
    border-left: 0;
    border-top: 1px solid var(--hair);
    overflow: visible;
  }

  .side > * {
    break-inside: avoid;
  }

  .side > * + * {
    border-top: 0;
  }
}

@media (max-width: 640px) {
  .side {
    columns: 1;
  }
}

@media (max-width: 640px) {
  header {
    padding: 12px 16px 6px;
  }

  .picture {
    margin: 0 12px 8px;
  }

  .side {
    columns: 1;
  }
}
</style>
