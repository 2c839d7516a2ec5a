<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { CornerName, LookTwiceShown, PlacementEntry, UnitPicture, WallCell, WallShown } from '@/api/types'
import TradeWord from '@/components/TradeWord.vue'
import TextField from '@/components/controls/TextField.vue'
import FlippedCorners from '@/components/wall/FlippedCorners.vue'
import UnitIcon from '@/drawing/UnitIcon.vue'
import { counted } from '@/drawing/words'

/** What is chosen, how it lies, what is odd about it, and what can be done with it. */
const props = defineProps<{ wall: WallShown; cells: WallCell[]; isTwice: boolean; path: string }>()
const emit = defineEmits<{ move: [by: PlacementEntry]; swap: []; clear: []; mend: []; meant: []; open: []; draw: []; group: []; openOut: []; name: [name: string]; corner: [corner: CornerName, size: string]; cornerTo: [from: CornerName, to: CornerName]; lay: [entry: Record<string, unknown>] }>()

const colours = computed(() => new Map(props.wall.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
/** A goose in one square place: the two places it could lie over, along the way it is wide. */
const overTwo = computed(() => {
  const cell = one.value
  const [column, row] = [props.wall.columns[(cell?.column ?? 1) - 1], props.wall.rows[(cell?.row ?? 1) - 1]]
  if (cell === null || cell.kind !== 'flying-geese' || cell.rowSpan !== 1 || cell.columnSpan !== 1 || column?.size !== row?.size) return []
  const isLevel = cell.turn === 0 || cell.turn === 180
  const isSpan = isLevel ? { column_span: 2 } : { row_span: 2 }
  const places = isLevel ? [['with the one to its right', 0, 0], ['with the one to its left', 0, -1]] as const : [['with the one below', 0, 0], ['with the one above', -1, 0]] as const
  return places
    .map(([words, down, right]) => ({ words, row: cell.row + down, column: cell.column + right }))
    .filter((to) => to.row >= 1 && to.column >= 1 && to.row + (isLevel ? 0 : 1) <= props.wall.rows.length && to.column + (isLevel ? 1 : 0) <= props.wall.columns.length)
    .map((to) => ({ words: to.words, entry: { ...cell.entry, ...isSpan, row: to.row, column: to.column } }))
})
const pair = shallowRef<LookTwiceShown | null>(null)
const coloured = (patches: UnitPicture[]) => patches.map((patch) => ({ color: colours.value.get(patch.fabric) ?? '#fff', points: patch.points }))
const one = computed(() => (props.cells.length === 1 ? props.cells[0] ?? null : null))
const odd = computed(() => props.cells.filter((cell) => cell.odd !== null && !cell.odd.isMeant))
const canMend = computed(() => odd.value.some((cell) => cell.odd?.mend))

/** The unit as it lies, drawn from the block's own patches. */
const picture = computed(() => {
  const cell = one.value
  if (cell === null) return []
  const patches = props.wall.face.patches.filter((patch) => cell.patches.includes(patch.id))
  const [xs, ys] = [patches.flatMap((patch) => patch.points.map((point) => point[0])), patches.flatMap((patch) => patch.points.map((point) => point[1]))]
  const [left, top, size] = [Math.min(...xs), Math.min(...ys), Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys))]
  return patches.map((patch) => ({ color: colours.value.get(patch.fabric) ?? '#fff', points: patch.points.map(([x, y]) => [(x - left) / size, (y - top) / size] as [number, number]) }))
})

watch(
  () => [props.isTwice ? one.value : null, props.wall] as const,
  async ([cell]) => {
    pair.value = null
    if (cell === null) return
    const found = await api.lookTwice(props.wall.block.id, props.path, [cell.row, cell.column]).catch(() => null)
    if (one.value === cell) pair.value = found
  },
  { immediate: true },
)
</script>

<template>
  <section class="selection" aria-label="Chosen">
    <template v-if="one">
      <div class="unit">
        <UnitIcon :patches="picture" :label="one.signature" />
        <div>
          <h2>{{ one.label ?? one.name.charAt(0).toUpperCase() + one.name.slice(1) }}</h2>
          <p class="soft">row {{ one.row }}, column {{ one.column }}</p>
        </div>
      </div>
      <p class="signature" role="status">{{ one.signature.charAt(0).toUpperCase() + one.signature.slice(1) }}<template v-if="one.hand">. <b>{{ one.hand === 'left' ? 'L' : 'R' }}</b>, a {{ one.hand }} one</template>.</p>
    </template>
    <template v-else>
      <h2>{{ counted(cells.length, 'unit') }} chosen</h2>
    </template>
    <div v-if="odd.length > 0" class="warning">
      <p><b>{{ odd.length === 1 ? 'Odd one out.' : `${odd.length} odd ones.` }}</b> The block is {{ wall.symmetry.words }} but for {{ odd.length === 1 ? 'this' : 'these' }}.</p>
      <button v-if="canMend" type="button" class="main" @click="emit('mend')">Mend <kbd>O</kbd></button>
      <p v-else class="soft">No turn of this unit would mend it.</p>
      <button type="button" class="link-button" @click="emit('meant')">It's meant to be so</button>
    </div>
    <p v-if="one?.different" class="warning"><b>Not as in the picture:</b> {{ one.different }}.</p>
    <div class="deeds" role="group" aria-label="Do with it">
      <button v-tip="'Turn a quarter clockwise (T)'" type="button" @click="emit('move', { turn: 90, mirrored: false })"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M19 13 A7.5 7.5 0 1 0 12 20 M19 13 L22.5 9.5 M19 13 L15 10" /></svg>Turn</button>
      <button v-tip="'Flip left to right (M)'" type="button" @click="emit('move', { turn: 0, mirrored: true })"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M12 3 V21 M9 7 L3 17 H9Z M15 7 L21 17 H15Z" /></svg>Mirror</button>
      <button v-tip="'Swap its fabrics (S)'" type="button" @click="emit('swap')"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M4 8 H19 M15 4 L19 8 L15 12 M20 16 H5 M9 12 L5 16 L9 20" /></svg>Swap</button>
      <button v-tip="'Back to a plain patch (Delete)'" type="button" @click="emit('clear')"><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M5 5 H19 V19 H5Z" /></svg>Clear</button>
    </div>
    <FlippedCorners v-if="one?.corners" :wall="wall" :cell="one" @corner="(corner, size) => emit('corner', corner, size)" @corner-to="(from, to) => emit('cornerTo', from, to)" />
    <div v-if="one && overTwo.length > 0" class="more">
      <span class="soft">A goose is twice as wide as high.</span>
      <button v-for="two in overTwo" :key="two.words" type="button" class="link-button" @click="emit('lay', two.entry)">Over two places, {{ two.words }}</button>
    </div>
    <div class="more">
      <button v-tip="'Key: D'" type="button" class="link-button" @click="emit('draw')">{{ one ? 'Draw it by cutting' : 'Draw one unit over these' }}</button>
      <button v-if="cells.length > 1" type="button" class="link-button" @click="emit('group')">Make a small grid of these</button>
      <template v-if="one?.kind === 'grid'">
        <button v-tip="'Key: E'" type="button" class="link-button" @click="emit('open')">Go into the small grid</button>
        <button type="button" class="link-button" @click="emit('openOut')">Open it into cells</button>
      </template>
    </div>
    <TextField v-if="cells.length > 0" class="name" :model-value="one?.label ?? ''" :label="`What you call ${one ? 'it' : 'them'}`" :maxlength="60" @done="emit('name', $event.trim())" />
    <div v-if="pair && pair.side" class="twice">
      <h3><TradeWord of="look-twice">Look twice</TradeWord></h3>
      <p class="soft">Sewn along its {{ pair.side }} edge, both look the same there.</p>
      <div class="pair">
        <figure><UnitIcon :patches="coloured(pair.right)" :ratio="pair.ratio" :side="pair.side" :ring="pair.wrong[0]?.ring" label="as it must lie" /><figcaption>like this</figcaption></figure>
        <figure v-for="(wrong, i) in pair.wrong.slice(0, 2)" :key="i"><UnitIcon :patches="coloured(wrong.patches)" :ratio="pair.ratio" :side="pair.side" :ring="wrong.ring" label="as it must not lie" /><figcaption>not this</figcaption></figure>
      </div>
    </div>
  </section>
</template>

<style scoped>
.selection {
  display: grid;
  gap: 8px;
}

.unit {
  display: grid;
  grid-template-columns: 72px 1fr;
  gap: 14px;
  align-items: center;
}

.signature {
  font-size: 17px;
}

.warning {
  padding-left: 12px;
  border-left: 4px solid var(--brick);
}

.warning .main {
  min-height: 44px;
  border: 0;
  cursor: pointer;
  margin-right: 14px;
  padding: 0 16px;
  border-radius: 6px;
  background: var(--thread);
  color: #fff;
  text-decoration: none;
}

.main kbd {
  border-color: #ffffff80;
  background: none;
}

.deeds {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
}

.deeds button {
  display: grid;
  justify-items: center;
  min-height: 60px;
  padding: 6px 0;
  border: 1px solid var(--hair);
  background: var(--paper);
  font-size: 15px;
  cursor: pointer;
}

.deeds button + button {
  border-left: 0;
}

.deeds button:hover {
  background: var(--thread-pale);
}

.deeds svg {
  width: 24px;
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}

.more {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}

h3 {
  font-size: 17px;
}

.pair {
  display: flex;
  gap: 16px;
}

figure {
  width: 84px;
  margin: 0;
}

figcaption {
  text-align: center;
  font-size: 15px;
}
</style>
