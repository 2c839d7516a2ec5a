<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { ElButton } from 'element-plus/es/components/button/index'
import { ElRadioButton, ElRadioGroup } from 'element-plus/es/components/radio/index'
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/radio-button/style/css'
import 'element-plus/es/components/radio-group/style/css'
import 'element-plus/es/components/select/style/css'
import * as api from '@/api/client'
import { ProblemError } from '@/api/client'
import type { PlanningShown, TopLensShown, TopPlaceShown, TopPlanShown, TopShown } from '@/api/types'
import PrintButton from '@/components/along/PrintButton.vue'
import TakeAlongButton from '@/components/along/TakeAlongButton.vue'
import SettingsButton from '@/components/settings/SettingsButton.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import TopJoins from '@/components/TopJoins.vue'
import TopLooks from '@/components/TopLooks.vue'
import TopOrder from '@/components/TopOrder.vue'
import TopPlanPanel from '@/components/TopPlanPanel.vue'
import TopSetting from '@/components/TopSetting.vue'
import TopSizes from '@/components/TopSizes.vue'
import TopWork from '@/components/TopWork.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { provideUnits } from '@/composables/useUnits'
import { sheetsAt } from '@/drawing/along'
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
const IDLE: PlanningShown = { key: '', what: 'plan', state: 'idle', done: 0, most: 0, found: 0 }
/** How far the search for the plan is. */
const search = shallowRef(IDLE)
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
  lens.value = null
  search.value = IDLE
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
const isPlaceHeld = (one: TopPlaceShown) => shown.value?.holds.places.some((held) => held.row === one.row && held.column === one.column) ?? false

/** The crossing that is looked at from near. */
const lens = shallowRef<TopLensShown | null>(null)
const lookNear = (join: number, number: number) =>
  told(async () => {
    lens.value = await api.lensOfTop(props.top, join, number)
  })

async function look() {
  clearTimeout(timer)
  if (search.value.state === 'idle') search.value = { ...IDLE, state: 'waiting' }
  await told(async () => {
    const answer = await api.planOfTop(props.top)
    plan.value = answer.plan
    search.value = { ...IDLE, state: answer.state === 'done' ? (answer.plan?.proved ? 'proved' : 'ended') : answer.done > 0 ? 'working' : 'waiting', done: answer.done, most: answer.most }
    if (answer.state === 'working') timer = setTimeout(look, AGAIN)
  })
  if (problem.value !== null) search.value = IDLE
}
const stopLooking = () => told(async () => void (await api.stopPlanningTop(props.top)))
const lookOn = () =>
  told(async () => {
    await api.planTopOn(props.top)
    await look()
  })

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
        <TopPlanPanel :top="shown" :plan="plan" :search="search" :lens="shownSide === 'back' ? lens : null" @look="look" @stop="stopLooking" @on="lookOn" @hold="hold" @change="change" @lay="takeTurns" @problem="problem = $event" />

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

        <TopSetting :top="shown" :wrong="wrong" @change="change" />

        <TopLooks :top="top" :version="shown.version" :places="shown.picture.places.filter((one) => one.block !== null).length" />
        <TopJoins :top="top" :plan="plan" :units="fields.units" />
        <TopSizes :top="top" :version="shown.version" :units="fields.units" :place="place" />
        <TopWork :top="top" :version="shown.version" :units="fields.units" :fabrics="fabrics" />
      </div>
    </div>
  </main>
</template>

<style scoped>
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

.reach {
  display: flex;
  flex-wrap: wrap;
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
