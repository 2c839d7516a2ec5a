<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { ElButton } from 'element-plus/es/components/button/index'
import { ElInputNumber } from 'element-plus/es/components/input-number/index'
import { ElRadioButton, ElRadioGroup } from 'element-plus/es/components/radio/index'
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/input-number/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/radio-button/style/css'
import 'element-plus/es/components/radio-group/style/css'
import 'element-plus/es/components/select/style/css'
import * as api from '@/api/client'
import { ProblemError } from '@/api/client'
import type { JoinShown, TopLensShown, TopPileShown, TopPlaceShown, TopPlanShown, TopShown } from '@/api/types'
import PrintButton from '@/components/along/PrintButton.vue'
import TakeAlongButton from '@/components/along/TakeAlongButton.vue'
import TradeWord from '@/components/TradeWord.vue'
import CheckField from '@/components/controls/CheckField.vue'
import TextField from '@/components/controls/TextField.vue'
import SettingsButton from '@/components/settings/SettingsButton.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import TopJoins from '@/components/TopJoins.vue'
import TopLooks from '@/components/TopLooks.vue'
import TopOrder from '@/components/TopOrder.vue'
import TopSizes from '@/components/TopSizes.vue'
import TopWork from '@/components/TopWork.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { provideUnits } from '@/composables/useUnits'
import CrossingLens from '@/drawing/CrossingLens.vue'
import BlockBack from '@/drawing/BlockBack.vue'
import { sheetsAt } from '@/drawing/along'
import { asTyped } from '@/drawing/fractions'
import FractionText from '@/drawing/FractionText.vue'
import TopBack from '@/drawing/TopBack.vue'
import TopFace from '@/drawing/TopFace.vue'
import { neighbour, reached, type Reach } from '@/drawing/topGeometry'

const props = defineProps<{ top: number }>()

/** Milliseconds between two looks at a plan that is being worked out. */
const AGAIN = 1200

const shown = shallowRef<TopShown | null>(null)
const problem = ref<string | null>(null)
/** What was refused beside which field. */
const wrong = shallowRef<{ field: string; words: string } | null>(null)
const chosen = ref<string | null>(null)
const reach = ref<Reach>('this')
const plan = shallowRef<TopPlanShown | null>(null)
const isPlanning = ref(false)
/** What the picture shows; the back only once there is a plan. */
const shownSide = ref<'face' | 'back'>('face')
const stacked = computed(() => plan.value?.crossings.filter((crossing) => crossing.kind !== 'nested').length ?? 0)
let timer: ReturnType<typeof setTimeout> | undefined

provideUnits(() => shown.value?.fields.units)
useScreenTitle(() => shown.value?.name ?? null)
onMounted(() => told(async () => take(await api.top(props.top))))
onUnmounted(() => clearTimeout(timer))

const thing = computed(() => ({ kind: 'tops' as const, id: props.top, name: shown.value?.name ?? 'this top' }))
const fields = computed(() => shown.value?.fields)
const fabrics = computed(() => shown.value?.picture.fabrics ?? [])
const place = computed(() => shown.value?.picture.places.find((one) => key(one) === chosen.value) ?? null)
const key = (one: TopPlaceShown) => `${one.row}/${one.column}`
const turned = computed(() => new Map((plan.value?.places ?? []).filter((one) => one.turned !== 0).map((one) => [`${one.row}/${one.column}`, one.turned])))
const reaches: [Reach, string][] = [
  ['this', 'this place'],
  ['row', 'its row'],
  ['column', 'its column'],
  ['ring', 'its ring'],
  ['other', 'every other'],
  ['all', 'all'],
]

function take(top: TopShown) {
  shown.value = top
  plan.value = null
  otherwise.value = []
  lens.value = null
  isPlanning.value = false
  clearTimeout(timer)
  if (chosen.value !== null && place.value === null) chosen.value = null
}

async function told(work: () => Promise<void>, field = '') {
  problem.value = null
  wrong.value = null
  try {
    await work()
  } catch (error) {
    const words = error instanceof Error ? error.message : String(error)
    if (field !== '' && error instanceof ProblemError) wrong.value = { field, words }
    else problem.value = words
  }
}

const change = (what: Record<string, unknown>, field = '') =>
  told(async () => {
    if (shown.value) take(await api.changeTop(props.top, shown.value.version, what))
  }, field)

/** Changes what lies in the place that is chosen and in those it reaches. */
function lay(how: (one: TopPlaceShown) => Record<string, unknown>) {
  const [top, from] = [shown.value, place.value]
  if (!top || !from) return
  const line = (text: string) => (top.fields.setting === 'straight' ? Number(text) : text)
  void change({ places: reached(top.picture.places, from, reach.value).map((one) => ({ row: line(one.row), column: line(one.column), ...how(one) })) })
}

const asItLies = (one: TopPlaceShown) => (one.block === null ? { fabric: one.fabric } : { block: one.block, turn: one.turn, mirrored: one.mirrored })
const turn = () => lay((one) => (one.block === null ? asItLies(one) : { ...asItLies(one), turn: (one.turn + (isSquare.value ? 90 : 180)) % 360 }))
const mirror = () => lay((one) => (one.block === null ? asItLies(one) : { ...asItLies(one), mirrored: !one.mirrored }))
const fill = (with_: string) => lay((one) => (with_.startsWith('block ') ? { block: with_.slice(6), turn: one.block === null ? 0 : one.turn, mirrored: one.block !== null && one.mirrored } : { fabric: with_.slice(7) }))
const isSquare = computed(() => shown.value?.picture.blocks.every((block) => block.width === block.height) ?? true)
const holds = computed(() => (place.value === null ? '' : place.value.block === null ? `fabric ${place.value.fabric}` : `block ${place.value.block}`))

/** Lays the blocks that break the top's symmetry as it asks. */
function mend() {
  const top = shown.value
  if (!top?.odd) return
  const line = (text: string) => (top.fields.setting === 'straight' ? Number(text) : text)
  const held = new Map(top.picture.places.map((one) => [key(one), one.block]))
  void change({ places: top.odd.places.map((one) => ({ row: line(one.row), column: line(one.column), block: held.get(`${one.row}/${one.column}`), turn: one.turn, mirrored: one.mirrored })) })
}

const sash = (more: Record<string, unknown>) => {
  const now = fields.value?.sashes ?? { width: fields.value?.units === 'mm' ? '25' : '1', fabric: fabrics.value[0]?.key ?? '', cornerstone: null, outer: false }
  const next = { ...now, ...more }
  return change({ sashes: { width: next.width, fabric: next.fabric, outer: next.outer, ...(next.cornerstone === null ? {} : { cornerstone: next.cornerstone }) } }, 'sashes')
}
const side = (fabric: string, float?: string) => change({ sides: fabric === '' ? { blocks: true } : { fabric, float: float ?? fields.value?.sides?.float ?? '0' } }, 'sides')
function border(number: number, more: Record<string, unknown> | null) {
  const usual = { width: fields.value?.units === 'mm' ? '50' : '2', fabric: fabrics.value[0]?.key ?? '', square: null }
  const all = [...(fields.value?.borders ?? [])].map((one, i) => (i === number ? (more === null ? null : { ...one, ...more }) : one)).filter((one) => one !== null)
  if (number >= all.length && more !== null) all.push({ ...usual, ...more })
  return change({ borders: all.map((one) => ({ width: one.width, fabric: one.fabric, corners: one.square === null ? 'butted' : 'squares', ...(one.square === null ? {} : { square: one.square }) })) }, 'borders')
}

/** Holds something, or lets it free, and plans anew where there is a plan. */
const hold = (asked: api.TopHoldAsked) =>
  told(async () => {
    const top = shown.value
    if (!top) return
    const wasPlanned = plan.value !== null
    const side = shownSide.value
    take(await api.holdOfTop(props.top, top.version, asked))
    shownSide.value = side
    if (wasPlanned) await look()
  })
const holdsOf = (pile: TopPileShown) => shown.value?.holds.piles.find((one) => one.pile === pile.name)?.seams ?? []
const isPlaceHeld = (one: TopPlaceShown) => shown.value?.holds.places.some((held) => held.row === one.row && held.column === one.column) ?? false

/** The crossing that is looked at from near. */
const lens = shallowRef<TopLensShown | null>(null)
const lookNear = (join: number, number: number) =>
  told(async () => {
    lens.value = await api.lensOfTop(props.top, join, number)
  })

/** What the plan would be otherwise, each in a sentence. */
const otherwise = shallowRef<{ name: string; words: string; piles?: Record<string, number> }[]>([])

async function compare(name: string, how: { fixed: true } | { more: string }) {
  await told(async () => {
    const answer = await api.planOfTop(props.top, how)
    if (answer.state === 'working' && answer.plan === null) {
      timer = setTimeout(() => compare(name, how), AGAIN)
      return
    }
    const crossings = answer.plan?.sentences.find((sentence) => sentence.includes('crossing')) ?? ''
    const now = Object.fromEntries((fields.value?.piles ?? []).map((one) => [one.block, one.block === ('more' in how ? how.more : '') ? one.piles + 1 : one.piles]))
    otherwise.value = [...otherwise.value.filter((one) => one.name !== name), { name, words: `${name}: ${crossings.charAt(0).toLowerCase()}${crossings.slice(1)}`, ...('more' in how ? { piles: now } : {}) }]
  })
}

async function look() {
  isPlanning.value = true
  await told(async () => {
    const answer = await api.planOfTop(props.top)
    plan.value = answer.plan
    isPlanning.value = answer.state === 'working'
    if (isPlanning.value) timer = setTimeout(look, AGAIN)
  })
  if (problem.value !== null) isPlanning.value = false
}

const joinsOf = (pile: TopPileShown): JoinShown[] => pile.joins.map((join) => ({ ...join, pile: [join.id], locked: holdsOf(pile).includes(pile.places[join.id] ?? ''), ruled: false, isPressed: false }))

/** Lays every block as the plan turns it. */
function takeTurns() {
  const top = shown.value
  if (!top || !plan.value) return
  const line = (text: string) => (top.fields.setting === 'straight' ? Number(text) : text)
  const turns = new Map(plan.value.places.map((one) => [`${one.row}/${one.column}`, one.turn]))
  void change({ places: top.picture.places.filter((one) => turns.has(key(one)) && one.block !== null).map((one) => ({ row: line(one.row), column: line(one.column), block: one.block, turn: turns.get(key(one)), mirrored: one.mirrored })) })
}

const MOVES: Record<string, 'left' | 'right' | 'up' | 'down'> = { ArrowLeft: 'left', ArrowRight: 'right', ArrowUp: 'up', ArrowDown: 'down' }

function press(event: KeyboardEvent) {
  const top = shown.value
  const direction = MOVES[event.key]
  if (!top) return
  if (direction) {
    const next = place.value === null ? top.picture.places[0] : neighbour(top.picture, place.value, direction)
    if (next) chosen.value = key(next)
  } else if (event.key === 't') turn()
  else if (event.key === 'm') mirror()
  else return
  event.preventDefault()
}
</script>

<template>
  <main class="top-screen">
    <header>
      <div>
        <RouterLink class="back" :to="{ name: 'shelf' }">Shelf</RouterLink>
        <h1>{{ shown?.name ?? 'Top' }}</h1>
        <p v-if="shown" class="soft">
          <FractionText :text="shown.sizes.finished.join(' x ')" /> {{ shown.fields.units }} finished, <FractionText :text="shown.sizes.raw.join(' x ')" /> raw; blocks of <FractionText :text="shown.sizes.block" /> {{ shown.fields.units }}
        </p>
      </div>
      <div class="deeds">
        <ElButton v-tip="shown?.undo ?? ''" :disabled="!shown?.undo" @click="shown && told(async () => shown && take(await api.undoTop(top, shown.version)))">Take back{{ shown?.undo ? `: ${shown.undo.toLowerCase()}` : '' }}</ElButton>
        <RouterLink class="link-button" :to="{ name: 'sew-top', params: { top } }">To the machine</RouterLink>
        <PrintButton :thing="thing" :kinds="sheetsAt.top ?? []" />
        <TakeAlongButton :thing="thing" />
        <SettingsButton />
      </div>
    </header>
    <ProblemNote v-if="problem" :text="problem" @close="problem = null" />
    <div v-for="one in shown?.changed ?? []" :key="one.key" class="changed" role="status">
      <span>“{{ one.name }}” was changed on the shelf since.</span>
      <ElButton @click="shown && told(async () => shown && take(await api.takeBlockOfTop(top, shown.version, one.key)))">Take it as it is now</ElButton>
    </div>

    <div v-if="shown && fields" class="table">
      <div class="picture">
        <div v-if="plan" class="side">
          <ElRadioGroup v-model="shownSide" aria-label="Which side of the top is shown">
            <ElRadioButton value="face">Face</ElRadioButton>
            <ElRadioButton value="back">Back</ElRadioButton>
          </ElRadioGroup>
          <span v-if="shownSide === 'back'" class="soft">as it is pressed and turned by the plan; {{ stacked === 0 ? 'all crossings along the long seams nest' : `${stacked} ${stacked === 1 ? 'crossing does' : 'crossings do'} not nest, marked` }}. Touch a long seam to hold it the other way, a crossing to look at it from near.</span>
        </div>
        <div v-if="plan && shownSide === 'back'" class="board"><TopBack :plan="plan" :held="shown.holds.seams" :label="`${shown.name} from the back, with where the allowances lie: arrow keys go from seam to seam, Enter holds one the other way, l looks at its first crossing`" @flip="hold({ what: 'seam', join: $event })" @look="lookNear" /></div>
        <div v-else class="board" data-work tabindex="0" role="application" :aria-label="`Places of ${shown.name}: arrow keys choose one, t turns it, m mirrors it`" aria-describedby="chosen-place" @keydown="press">
          <TopFace :picture="shown.picture" :label="`${shown.name} as it hangs`" :turned="turned" :chosen="chosen" @choose="chosen = key($event)" />
        </div>
      </div>

      <div class="panel">
        <section aria-labelledby="plan-title">
          <h2 id="plan-title">Which way are the outer seams pressed?</h2>
          <template v-if="plan">
            <figure v-if="lens?.junction && shownSide === 'back'" class="lens">
              <CrossingLens :junction="lens.junction" :flaps="lens.flaps" :width="lens.width" :inches-per-unit="lens.units === 'mm' ? 1 / 25.4 : 1" />
              <figcaption>{{ lens.junction.patches }} patches meet, {{ lens.junction.peak }} layers at most</figcaption>
            </figure>
            <p v-for="sentence in plan.sentences" :key="sentence" role="status">{{ sentence }}</p>
            <figure v-for="pile in plan.made" :key="`${pile.block} ${pile.mirrored} ${pile.pile}`" class="pile">
              <figcaption>
                <b>{{ pile.count }} of {{ pile.block }}{{ pile.mirrored ? ', its mirror image' : '' }}{{ (fields.piles.find((one) => one.block === pile.block)?.piles ?? 1) > 1 ? `, pile ${pile.pile}` : '' }}</b>, from the back:
                <span v-for="row in pile.rows" :key="row.title">{{ row.title }} {{ row.way }}. </span>
              </figcaption>
              <BlockBack :name="pile.block" :face="pile.face" :flaps="pile.flaps" :joins="joinsOf(pile)" :crossings="[]" :highlighted="pile.joins.filter((join) => !join.isOfUnit).map((join) => join.id)" :pixels="300" @flip="hold({ what: 'seam-of-pile', pile: pile.name, join: $event })" @select="hold({ what: 'seam-of-pile', pile: pile.name, join: $event })" />
              <p class="soft">Touch a seam to hold it the other way; again to let it free.</p>
              <div class="deeds">
                <ElButton v-if="holdsOf(pile).length === 0" @click="hold({ what: 'pile', pile: pile.name, hold: true })">Hold it pressed so</ElButton>
                <ElButton v-else @click="hold({ what: 'pile', pile: pile.name, hold: false })">Let {{ holdsOf(pile).length === 1 ? 'the held seam' : `the ${holdsOf(pile).length} held seams` }} free</ElButton>
              </div>
            </figure>
            <p v-if="isPlanning" class="soft" role="status">Still looking for a better way …</p>
            <div class="deeds">
              <ElButton v-if="turned.size > 0" @click="takeTurns">Lay them so</ElButton>
              <button v-if="turned.size > 0" type="button" class="link-button" @click="compare('If nothing is turned', { fixed: true })">What if nothing is turned?</button>
              <button v-for="one in fields.piles.filter((block) => block.piles < 4)" :key="one.block" type="button" class="link-button" @click="compare(`With ${one.piles + 1} piles of ${one.block}`, { more: one.block })">One pile more of {{ one.block }}?</button>
            </div>
            <p v-for="one in otherwise" :key="one.name" role="status">
              {{ one.words }}
              <button v-if="one.piles" type="button" class="link-button" @click="change({ piles: one.piles })">Press so</button>
            </p>
          </template>
          <p v-else-if="isPlanning" role="status">Working it out for all {{ shown.picture.places.length }} places …</p>
          <ElButton v-else type="primary" @click="look">Plan the top</ElButton>
          <label class="stack">Blocks may be turned
            <ElSelect :model-value="fields.turns" aria-label="Blocks may be turned" @update:model-value="change({ turns: $event })">
              <ElOption value="fixed" label="not at all" />
              <ElOption value="same-face" label="where nobody sees it" />
              <ElOption value="any" label="wherever it helps, the face too" />
            </ElSelect>
          </label>
          <label v-for="one in fields.piles" :key="one.block" class="line">Piles of {{ one.block }}
            <ElInputNumber :model-value="one.piles" :min="1" :max="4" :aria-label="`Piles of ${one.block}`" @change="change({ piles: Object.fromEntries(fields.piles.map((all) => [all.block, all.block === one.block ? ($event ?? 1) : all.piles])) })" />
          </label>
        </section>

        <TopOrder :top="shown" @changed="take" @problem="problem = $event" />

        <section aria-labelledby="place-title">
          <h2 id="place-title">What lies where</h2>
          <p id="chosen-place" aria-live="polite">{{ place ? `Row ${place.row}, column ${place.column}` : 'Touch a place in the picture to choose it.' }}</p>
          <template v-if="shown.odd">
            <p role="status">The top is {{ shown.odd.symmetry }}, but for {{ shown.odd.places.map((one) => `row ${one.row}, column ${one.column}`).join('; ') }}.</p>
            <ElButton @click="mend">Lay {{ shown.odd.places.length === 1 ? 'it' : 'them' }} like the rest</ElButton>
          </template>
          <template v-if="place">
            <label class="line">Holds
              <ElSelect :model-value="holds" filterable aria-label="What the place holds" @update:model-value="fill($event)">
                <ElOption v-for="block in shown.picture.blocks" :key="block.key" :value="`block ${block.key}`" :label="block.key" />
                <ElOption v-for="fabric in fabrics" :key="fabric.key" :value="`fabric ${fabric.key}`" :label="`plain ${fabric.name}`" />
              </ElSelect>
            </label>
            <div class="deeds">
              <ElButton v-if="place.block !== null" :aria-pressed="isPlaceHeld(place)" @click="hold({ what: 'place', row: place.row, column: place.column, hold: !isPlaceHeld(place) })">{{ isPlaceHeld(place) ? 'Let the plan turn it' : 'Hold it as it lies' }}</ElButton>
              <ElButton :disabled="place.block === null" @click="turn">Turn</ElButton>
              <ElButton :disabled="place.block === null" @click="mirror">Mirror</ElButton>
            </div>
            <ElRadioGroup v-model="reach" class="reach" aria-label="Goes to">
              <ElRadioButton v-for="[value, word] in reaches" :key="value" :value="value">{{ word }}</ElRadioButton>
            </ElRadioGroup>
          </template>
        </section>

        <section aria-labelledby="setting-title">
          <h2 id="setting-title">Setting</h2>
          <ElRadioGroup :model-value="fields.setting" aria-label="Setting" @update:model-value="change({ setting: $event })">
            <ElRadioButton value="straight">straight</ElRadioButton>
            <ElRadioButton value="on-point">on point</ElRadioButton>
          </ElRadioGroup>
          <div class="two">
            <label class="line">Rows <ElInputNumber :model-value="fields.rows" :min="1" :max="30" aria-label="Rows" @change="change({ rows: $event }, 'rows')" /></label>
            <label class="line">Columns <ElInputNumber :model-value="fields.columns" :min="1" :max="30" aria-label="Columns" @change="change({ columns: $event }, 'rows')" /></label>
          </div>
          <p v-if="wrong?.field === 'rows'" class="wrong" role="alert">{{ wrong.words }}</p>

          <h3><TradeWord of="sashes">Sashes</TradeWord></h3>
          <ElButton v-if="fields.sashes === null" @click="sash({})">Put sashes between</ElButton>
          <template v-else>
            <div class="line">Width <TextField :model-value="asTyped(fields.sashes.width, fields.units)" label="Width of the sashes" hides-label size="short" :after="fields.units" @done="sash({ width: $event })" /></div>
            <label class="line">Fabric
              <ElSelect :model-value="fields.sashes.fabric" filterable aria-label="Fabric of the sashes" @update:model-value="sash({ fabric: $event })"><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="fabric.name" /></ElSelect>
            </label>
            <label class="line">Cornerstones
              <ElSelect :model-value="fields.sashes.cornerstone ?? ''" filterable aria-label="Cornerstones" @update:model-value="sash({ cornerstone: $event === '' ? null : $event })"><ElOption value="" label="none" /><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="fabric.name" /></ElSelect>
            </label>
            <CheckField v-if="fields.setting === 'straight'" :model-value="fields.sashes.outer" @update:model-value="sash({ outer: $event })">round the outside too</CheckField>
            <button type="button" class="link-button" @click="change({ sashes: null })">Take the sashes away</button>
          </template>
          <p v-if="wrong?.field === 'sashes'" class="wrong" role="alert">{{ wrong.words }}</p>

          <template v-if="fields.setting === 'on-point' && fields.sides">
            <h3><TradeWord of="on-point">Triangles at the sides</TradeWord></h3>
            <label class="line">Of
              <ElSelect :model-value="fields.sides.fabric ?? ''" filterable aria-label="Triangles at the sides" @update:model-value="side($event)"><ElOption value="" label="halves of blocks" /><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="fabric.name" /></ElSelect>
            </label>
            <div v-if="fields.sides.fabric !== null" class="line">Larger by <TextField :model-value="asTyped(fields.sides.float, fields.units)" label="Larger by" hides-label size="short" :after="fields.units" @done="side(fields?.sides?.fabric ?? '', $event)" /></div>
            <p v-if="wrong?.field === 'sides'" class="wrong" role="alert">{{ wrong.words }}</p>
          </template>

          <h3>Borders</h3>
          <div v-for="(one, number) in fields.borders" :key="number" class="border">
            <div class="line">Width <TextField :model-value="asTyped(one.width, fields.units)" :label="`Width of border ${number + 1}`" hides-label size="short" :after="fields.units" @done="border(number, { width: $event })" /></div>
            <label class="line">Fabric
              <ElSelect :model-value="one.fabric" filterable :aria-label="`Fabric of border ${number + 1}`" @update:model-value="border(number, { fabric: $event })"><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="fabric.name" /></ElSelect>
            </label>
            <label class="line">Corners
              <ElSelect :model-value="one.square ?? ''" filterable :aria-label="`Corners of border ${number + 1}`" @update:model-value="border(number, { square: $event === '' ? null : $event })"><ElOption value="" label="butted" /><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="`squares of ${fabric.name}`" /></ElSelect>
            </label>
            <button type="button" class="link-button" @click="border(number, null)">Take border {{ number + 1 }} away</button>
          </div>
          <ElButton @click="border(fields.borders.length, {})">Add a border</ElButton>
          <p v-if="wrong?.field === 'borders'" class="wrong" role="alert">{{ wrong.words }}</p>
        </section>

        <TopLooks :top="top" :version="shown.version" :places="shown.picture.places.filter((one) => one.block !== null).length" />
        <TopJoins :top="top" :plan="plan" :units="fields.units" />
        <TopSizes :top="top" :version="shown.version" :units="fields.units" :place="place" />
        <TopWork :top="top" :version="shown.version" :units="fields.units" :fabrics="fabrics" />
      </div>
    </div>
  </main>
</template>

<style scoped>
.lens {
  display: grid;
  gap: 4px;
  max-width: 220px;
  margin: 0;
}

.side {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  padding-bottom: 8px;
}

.top-screen {
  display: flex;
  flex-direction: column;
  height: 100%;
  padding: 20px 32px 24px;
}

header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: end;
  gap: 12px 24px;
  padding-bottom: 14px;
}

h1 {
  font-size: 30px;
}

h2 {
  padding-bottom: 4px;
  font-size: 19px;
}

h3 {
  padding-top: 12px;
  font-size: 17px;
}

.back {
  display: inline-block;
  min-height: 24px;
  color: var(--thread);
  font-weight: 600;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.changed {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  padding-bottom: 10px;
}

.table {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 32px;
  flex: 1;
  min-height: 0;
}

.picture {
  display: flex;
  flex-direction: column;
  min-height: 0;
}

.board {
  flex: 1;
  min-height: 0;
  padding: 14px;
  background: var(--paper);
  border: 1px solid var(--hair);
}

.panel {
  overflow-y: auto;
  padding-right: 6px;
}

section {
  display: grid;
  gap: 8px;
  padding-bottom: 22px;
}

section > * {
  min-width: 0;
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 170px;
  align-items: center;
  gap: 10px;
}

.stack {
  display: grid;
  gap: 4px;
}

.line > input.short {
  width: 100px;
}

.tick {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}

.two {
  display: grid;
  gap: 8px;
}

.pile {
  margin: 0;
}

.pile :deep(svg) {
  width: 100%;
  max-height: 320px;
}

.reach {
  display: flex;
  flex-wrap: wrap;
}

.border {
  display: grid;
  gap: 6px;
  padding-bottom: 10px;
}

.wrong {
  color: var(--brick);
}

@media (max-width: 900px) {
  .top-screen {
    height: auto;
    padding: 16px;
  }

  .table {
    grid-template-columns: minmax(0, 1fr);
  }

  .board {
    height: min(70vh, 110vw);
  }

  .panel {
    overflow: visible;
  }
}
</style>
