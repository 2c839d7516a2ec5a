<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { Axis, CornerName, FollowShown, TrayKind, WallCell, WallFabric, WallPlace } from '@/api/types'
import ProblemNote from '@/components/ProblemNote.vue'
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
import WallHeader from '@/components/wall/WallHeader.vue'
import WallGrid from '@/components/wall/WallGrid.vue'
import WholePanel from '@/components/wall/WholePanel.vue'
import { useDrawingBoard } from '@/composables/useDrawingBoard'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { provideUnits } from '@/composables/useUnits'
import { useStations } from '@/composables/useStations'
import { MOST_ZOOM } from '@/composables/useTouchOnWall'
import { useWallKeys } from '@/composables/useWallKeys'
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

const stepFollow = () => (wall.follow = follows.value[(follows.value.findIndex((one) => one.name === wall.follow) + 1) % follows.value.length]?.name ?? 'none')

const board = useDrawingBoard((patch, fabricAt) => paint(patch, fabrics.value[fabricAt]?.key))

const keys = useWallKeys({
  tray,
  boardKeys: board.keys,
  stepFabric,
  togglePainting,
  toggleGrey: () => (isGrey.value = !isGrey.value),
  toggleTwice: () => (isTwiceShown.value = !isTwiceShown.value),
  showKeys: () => help.value?.show(),
  placeKind,
  placeLastAsOne: () => place(lastKind.value, true),
  clear,
  nextBrush: () => (brushAt.value += 1),
  paintHere: () => paint(brushPatch.value),
  stepFollow,
  leave,
})

const lastKind = ref('flying-geese')

function setCorner(corner: CornerName, size: string) {
  const fabric = figure.value?.key
  if (fabric !== undefined) void wall.edit({ do: 'corner', places: wall.places, corner, fabric, ...(size === '' ? {} : { size }) })
}

function clear() {
  void wall.edit({ do: 'clear', places: wall.places })
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
      <WallHeader v-model:is-grey="isGrey" :follows="follows" @keys="help?.show()" />
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
  .picture {
    margin: 0 12px 8px;
  }

  .side {
    columns: 1;
  }
}
</style>
