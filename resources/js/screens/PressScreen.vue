<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { ElButton } from 'element-plus/es/components/button/index'
import { ElRadioButton, ElRadioGroup } from 'element-plus/es/components/radio/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/radio-button/style/css'
import 'element-plus/es/components/radio-group/style/css'
import { awaited, fileAddress, stopPlanning } from '@/api/client'
import type { Place, PressStyle, RestOfSeams } from '@/api/types'
import PlanningNote from '@/components/PlanningNote.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import AdvicePanel from '@/components/press/AdvicePanel.vue'
import BesidePanel from '@/components/press/BesidePanel.vue'
import RulesPanel from '@/components/press/RulesPanel.vue'
import SeamPanel from '@/components/SeamPanel.vue'
import StationHints from '@/components/StationHints.vue'
import StationRail from '@/components/StationRail.vue'
import StepStrip from '@/components/StepStrip.vue'
import StyleComparison from '@/components/StyleComparison.vue'
import TotalsPanel from '@/components/TotalsPanel.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { provideUnits } from '@/composables/useUnits'
import { useStationKeys } from '@/composables/useStationKeys'
import { useStations } from '@/composables/useStations'
import AskedByTops from '@/components/AskedByTops.vue'
import BlockBack from '@/drawing/BlockBack.vue'
import BlockFace from '@/drawing/BlockFace.vue'
import CrossingLens from '@/drawing/CrossingLens.vue'
import FractionText from '@/drawing/FractionText.vue'
import PlyMap from '@/drawing/PlyMap.vue'
import { counted, styleWords } from '@/drawing/words'
import { usePressStore } from '@/stores/press'

const props = defineProps<{ block: number }>()

const tabs = [
  { name: 'seam', word: 'Seam' },
  { name: 'words', word: 'In words' },
  { name: 'advice', word: 'Advice' },
  { name: 'beside', word: 'Compare' },
] as const
type Tab = (typeof tabs)[number]['name']

const press = usePressStore()
const step = ref<number | null>(null)
const lookedAt = ref<Place | null>(null)
const isPlyMap = ref(false)
const tab = ref<Tab>('seam')
/** Seams that a rule or an advice speaks of, while it is looked at. */
const pointed = ref<number[]>([])
const schools = Object.entries(styleWords) as [PressStyle, string][]

watch(() => props.block, (block) => press.open(block), { immediate: true })

const shown = computed(() => press.shown)
provideUnits(() => shown.value?.face.units)
useScreenTitle(() => (shown.value === null ? null : `Press, ${shown.value.block.name}`))
const { stations } = useStations(() => props.block, () => shown.value?.block.version)
const highlighted = computed(() => (pointed.value.length > 0 ? pointed.value : step.value === null ? [] : (shown.value?.steps[step.value]?.joins ?? [])))
const onFace = computed(() => (step.value === null && pointed.value.length === 0 ? (press.selected?.pile ?? []) : highlighted.value))

/** The junction looked at through the lens: the one clicked, else the thickest. */
const junction = computed(() => {
  const all = shown.value?.junctions ?? []
  const at = lookedAt.value
  const clicked = at && all.find((one) => Math.hypot(one.at[0] - at[0], one.at[1] - at[1]) < 1e-3)
  return clicked ?? all.reduce<(typeof all)[number] | null>((most, one) => (most === null || one.peak > most.peak ? one : most), null)
})

/** Said where a habit would stack ridges: pressing to the dark on both sides of a crossing. */
const habit = computed(() => {
  const all = shown.value?.habits ?? []
  if (all.length === 0) return ''
  const places = all.slice(0, 3).map((one) => one.text.join(', ')).join(' and at ')
  const why = all.some((one) => one.runsStraightOn) ? 'a seam runs straight on across the join with the dark on the same side' : 'the dark lies on the same side of both seams'
  return `Pressed to the dark by habit, ${counted(all.length, 'crossing')} would stack: at ${places}${all.length > 3 ? ' and more' : ''} ${why}.`
})

function chooseStep(i: number) {
  step.value = step.value === i ? null : i
}

function select(join: number) {
  step.value = null
  void press.select(join)
}

/** A click flips the stretch it falls on; the key and the panel flip the whole seam, and so does a click where it lies open. */
function flip(join: number, stretch: number) {
  const seam = shown.value?.joins[join]
  if (seam && seam.press.length > 1 && seam.press[stretch] !== 'open') void press.flipStretch(join, stretch)
  else void press.flip(join)
}

function chooseTab(next: Tab) {
  tab.value = next
  pointed.value = []
}

function onTabKey(event: KeyboardEvent) {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
  if (by === undefined) return
  event.preventDefault()
  event.stopPropagation()
  const at = (tabs.findIndex((one) => one.name === tab.value) + by + tabs.length) % tabs.length
  chooseTab((tabs[at] ?? tabs[0]).name)
  document.getElementById(`tab-${tab.value}`)?.focus()
}

const go = (by: number) => {
  const all = shown.value?.joins.length ?? 0
  if (all > 0) select(Math.min(all - 1, Math.max(0, (press.selectedId ?? -by) + by)))
}
const withSeam = (act: (join: number) => unknown) => () => {
  if (press.selectedId !== null && step.value === null) act(press.selectedId)
}

useStationKeys(() => [
  { key: 'ArrowRight', words: 'next seam', act: () => go(1) },
  { key: 'ArrowDown', words: 'next seam', act: () => go(1) },
  { key: 'ArrowLeft', words: 'seam before', act: () => go(-1) },
  { key: 'ArrowUp', words: 'seam before', act: () => go(-1) },
  { key: 'Home', words: 'first seam', act: () => select(0) },
  { key: 'End', words: 'last seam', act: () => select((shown.value?.joins.length ?? 1) - 1) },
  { key: ' ', words: 'flip it', act: withSeam(press.flip) },
  { key: 'Enter', words: 'flip it', act: withSeam(press.flip) },
  { key: 'o', words: 'press it open', act: withSeam((join) => press.lock(join, ['open'])) },
  { key: 'l', words: 'let it go', act: withSeam(press.release) },
  { key: 'z', control: true, words: 'undo', act: press.undo },
  { key: 'z', control: true, shift: true, words: 'redo', act: press.redo },
  { key: 'y', control: true, words: 'redo', act: press.redo },
], '.back .picture')
</script>

<template>
  <div class="press-screen">
    <StationRail :stations="stations" :block="block" :name="shown?.block.name" here="press" />
    <main v-if="shown" class="table">
      <header>
        <div>
          <h1>{{ shown.block.name }}</h1>
          <p class="soft">
            <FractionText :text="shown.face.finished.join(' x ')" /> {{ shown.face.units }} finished, <FractionText :text="shown.face.unfinished.join(' x ')" /> {{ shown.face.units }} raw · {{ counted(shown.units, 'unit') }}, {{ counted(shown.totals.joins, 'seam') }}
          </p>
        </div>
        <ElRadioGroup class="schools" :model-value="shown.style" aria-label="School of pressing" @update:model-value="press.chooseStyle($event as PressStyle)">
          <ElRadioButton v-for="[style, word] in schools" :key="style" :value="style">{{ word }}</ElRadioButton>
        </ElRadioGroup>
        <p class="saved soft" role="status">{{ press.problem ? 'Not saved' : press.isSaving ? 'Saving' : 'Saved' }}</p>
        <StationHints at="press" />
      </header>
      <ProblemNote v-if="press.problem" class="problem" :text="press.problem" @close="press.problem = null">
        <ElButton v-if="press.turn === null" @click="press.open(block)">Load it again</ElButton>
      </ProblemNote>
      <section class="face">
        <h2>Face <span class="soft">as it will hang</span></h2>
        <div class="picture">
          <BlockFace :face="shown.face" :label="`${shown.block.name}, face`" :joins="shown.joins" :highlighted="onFace" :crossings="shown.crossings" :pixels="250" />
        </div>
        <template v-if="junction">
          <h2 class="lens-title">Crossing at <FractionText :text="junction.text.join(', ')" /></h2>
          <p class="soft">{{ junction.patches }} patches meet, {{ junction.peak }} layers at most</p>
          <div class="lens"><CrossingLens :junction="junction" :flaps="shown.flaps" :width="shown.face.width" :inches-per-unit="shown.face.units === 'mm' ? 1 / 25.4 : 1" /></div>
        </template>
      </section>
      <section class="back">
        <h2 class="back-title">
          Back <span class="soft">{{ isPlyMap ? 'layers of cloth; figures are the most at each crossing' : shown.joins.length > 800 ? 'the arrow of the seam you look at; marks where crossings do not nest' : 'arrows show where the allowances lie' }}</span>
          <span class="back-and-forth" role="group" aria-label="Undo and redo">
            <button v-tip="shown.undo ? `Undo: ${shown.undo} (Ctrl Z)` : 'Nothing to undo'" type="button" class="link-button" :disabled="shown.undo === null || press.isSaving" @click="press.undo">Undo</button>
            <button v-tip="shown.redo ? `Redo: ${shown.redo} (Ctrl Y)` : 'Nothing to redo'" type="button" class="link-button" :disabled="shown.redo === null || press.isSaving" @click="press.redo">Redo</button>
          </span>
          <button type="button" class="link-button turn" :aria-pressed="isPlyMap" @click="isPlyMap = !isPlyMap">{{ isPlyMap ? 'Show the cloth' : 'Show the layers' }}</button>
        </h2>
        <div class="picture" data-work>
          <PlyMap v-if="isPlyMap" :face="shown.face" :flaps="shown.flaps" :junctions="shown.junctions" :name="shown.block.name" :pixels="520" />
          <BlockBack v-else :name="shown.block.name" :face="shown.face" :flaps="shown.flaps" :joins="shown.joins" :crossings="shown.crossings" :selected="step === null ? press.selectedId : null" :highlighted="highlighted" :pixels="520" :turn="press.turn" @select="select" @flip="flip" @look="lookedAt = $event" />
        </div>
      </section>
      <section class="strip">
        <p v-if="step !== null" class="instruction"><b>{{ shown.steps[step]?.title }}.</b> <FractionText :text="shown.steps[step]?.text ?? ''" /></p>
        <StepStrip :steps="shown.steps" :done="shown.stepsDone" :chosen="step" :face="shown.face" :joins="shown.joins" @choose="chooseStep" />
      </section>
    </main>
    <aside v-if="shown" class="side">
      <div class="tabs" role="tablist" aria-label="What to look at" @keydown="onTabKey">
        <button v-for="one in tabs" :id="`tab-${one.name}`" :key="one.name" type="button" role="tab" :aria-selected="tab === one.name" :aria-controls="`panel-${one.name}`" :tabindex="tab === one.name ? 0 : -1" @click="chooseTab(one.name)">{{ one.word }}</button>
      </div>
      <div :id="`panel-${tab}`" role="tabpanel" :aria-labelledby="`tab-${tab}`" class="panel">
        <RulesPanel v-if="tab === 'words'" :block="block" :plan="shown.plan" :rows="shown.rows" :subjects="shown.subjects" :rules="shown.rules" :fabrics="shown.face.fabrics" :seam="press.selected" :is-busy="press.isSaving" @keep="press.keepRules" @point="pointed = $event" />
        <AdvicePanel v-else-if="tab === 'advice'" :block="block" :plan="shown.plan" :style="shown.style" :proposal="shown.proposal" :opened="shown.opened" :look-alikes="shown.lookAlikes" :is-busy="press.isSaving" @lock="press.lockAll" @piles="press.choosePiles({ twoPiles: $event })" @school="press.chooseStyle" @lump="press.chooseStyle(shown.style, $event)" @look="lookedAt = $event" @point="pointed = $event" />
        <template v-else-if="tab === 'beside'">
          <BesidePanel :block="block" :version="shown.block.version" :own-way="shown.ownWay" :has-own="shown.locks > 0 || shown.rules.some((rule) => rule.on)" :is-busy="press.isSaving" @choose="press.chooseWay" @look="lookedAt = $event" />
          <StyleComparison :block="block" :version="shown.block.version" :order="shown.order" :chosen="shown.style" @choose="press.chooseStyle" @piles="press.choosePiles" />
        </template>
        <template v-else>
          <SeamPanel v-if="press.selected" :join="press.selected" :choices="press.choices" :totals="shown.totals" :is-busy="press.isSaving" @choose="press.lock(press.selected.id, [$event])" @stretch="press.flipStretch(press.selected.id, $event)" @release="press.release(press.selected.id)" />
          <p v-if="!shown.ownWay" class="rest">The planner's way is sewn; your own locks and rules rest. Pressing a seam yourself wakes them. <button type="button" class="link-button" @click="press.chooseWay(true)">Sew it my way</button></p>
          <section v-else-if="shown.locks > 0" class="rest" aria-label="The other seams">
            <p>{{ counted(shown.locks, 'seam is', 'seams are') }} locked. The others</p>
            <ElRadioGroup :model-value="shown.rest" aria-label="The other seams" @update:model-value="press.chooseRest($event as RestOfSeams)">
              <ElRadioButton value="stays">stay put</ElRadioButton>
              <ElRadioButton value="follows">follow</ElRadioButton>
            </ElRadioGroup>
            <ElButton link class="all" @click="press.releaseAll">Release all locks</ElButton>
          </section>
          <p v-if="shown.locksAsleep > 0" class="rest">{{ counted(shown.locksAsleep, 'lock fits', 'locks fit') }} no seam of the block as it is drawn now. {{ shown.locksAsleep === 1 ? 'It holds' : 'They hold' }} again when the seam is back. <button type="button" class="link-button" @click="press.releaseAsleep">Let {{ shown.locksAsleep === 1 ? 'it' : 'them' }} go</button></p>
        </template>
      </div>
      <AskedByTops v-if="tab === 'seam'" :block="block" :plan="shown.plan" :is-busy="press.isSaving" @lock="press.lockAll" @point="pointed = $event" />
      <TotalsPanel :totals="shown.totals" :before="shown.withoutLocks" :crossings="shown.crossings" />
      <p v-if="habit" class="habit">{{ habit }}</p>
      <p class="soft proof"><a :href="fileAddress(block)" download>Keep the block as a file</a></p>
      <p class="soft proof" :data-proved="shown.proved">{{ shown.says }}</p>
      <PlanningNote v-if="shown.planning" :search="shown.planning" has-plan @stop="press.stopSearch" @on="press.searchOn" />
    </aside>
    <main v-else class="waiting">
      <ProblemNote v-if="press.problem" :text="press.problem" @close="press.problem = null">
        <ElButton @click="press.open(block)">Try again</ElButton>
        <RouterLink class="to-orders" :to="{ name: 'order', params: { block } }">See the orders of sewing</RouterLink>
      </ProblemNote>
      <PlanningNote v-else-if="awaited" :search="awaited" :has-plan="false" @stop="stopPlanning(awaited.key)" />
      <p v-else class="soft" role="status">Working out how to press it</p>
    </main>
  </div>
</template>

<style scoped>
.press-screen {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 316px;
  height: 100%;
  min-height: 760px;
}

.table {
  display: grid;
  grid-template: auto minmax(0, 1fr) auto / 260px minmax(0, 1fr);
  grid-template-areas: 'head head' 'face back' 'strip strip';
  gap: 0 20px;
  min-width: 0;
}

header {
  grid-area: head;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 18px;
  padding: 12px 24px 8px;
}

.schools {
  flex: none;
  margin-left: auto;
}

.schools :deep(.el-radio-button__inner) {
  min-height: 44px;
  padding: 14px 13px;
}

.back-title .link-button {
  min-width: 44px;
  justify-content: center;
  margin: -10px 0 -12px;
}

.turn {
  padding: 0 4px;
  font-size: 16px;
  font-weight: 400;
}

.habit {
  font-size: 15px;
}


.problem {
  position: absolute;
  z-index: 2;
  top: 64px;
  left: 174px;
  right: 340px;
}

.face {
  grid-area: face;
  display: grid;
  grid-template-rows: auto 244px auto auto minmax(0, 190px);
  align-content: start;
  min-height: 0;
  padding-left: 24px;
}

.face h2,
.back h2 {
  font-size: 18px;
}

h2 .soft {
  font-size: 15px;
  font-weight: 400;
}

.lens-title {
  padding-top: 14px;
}

.face > .soft {
  line-height: 1.2;
}

.lens {
  width: 190px;
  padding-top: 6px;
  min-height: 0;
}

.back {
  grid-area: back;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
  padding-right: 12px;
}

.picture {
  min-height: 0;
}

.strip {
  grid-area: strip;
  min-width: 0;
  border-top: 1px solid var(--hair);
  position: relative;
}

.instruction {
  position: absolute;
  bottom: 100%;
  left: 0;
  right: 0;
  padding: 8px 24px;
  background: var(--thread);
  color: #fff;
  font-size: 18px;
}

.side {
  padding: 20px;
  background: var(--paper);
  border-left: 1px solid var(--hair);
  overflow-y: auto;
}

.tabs {
  display: grid;
  grid-template-columns: repeat(4, auto);
  margin: -6px 0 0;
  border-bottom: 1px solid var(--hair);
}

.tabs button {
  min-height: 44px;
  padding: 4px 2px;
  border: 0;
  border-bottom: 3px solid transparent;
  background: none;
  cursor: pointer;
}

.tabs button[aria-selected='true'] {
  border-bottom-color: var(--thread);
  font-weight: 650;
}

.side > .panel {
  margin-top: 14px;
  padding-top: 0;
  border-top: 0;
}

.panel > * + * {
  margin-top: 14px;
}

.back-and-forth {
  display: flex;
  gap: 14px;
  margin-left: auto;
  font-size: 16px;
  font-weight: 400;
}

.back-title {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: baseline;
}

.side > * + * {
  margin-top: 16px;
  padding-top: 16px;
  border-top: 1px solid var(--hair);
}

.rest :deep(.el-radio-button__inner) {
  padding: 13px 22px;
}

.rest p {
  padding-bottom: 6px;
}

.rest .all {
  display: flex;
  min-height: 44px;
  margin: 0;
  color: var(--thread);
  text-decoration: underline;
  text-underline-offset: 3px;
}

.proof {
  font-size: 15px;
}

@media (max-width: 900px) {
  .press-screen {
    display: flex;
    flex-direction: column;
    height: auto;
  }

  .table {
    display: contents;
  }

  header {
    flex-wrap: wrap;
  }

  .back {
    order: 1;
    height: 560px;
  }

  .side {
    order: 2;
  }

  .strip {
    order: 3;
  }

  .face {
    order: 4;
  }

  .instruction {
    position: static;
  }

  .problem {
    left: 24px;
    right: 24px;
  }

  .back {
    padding: 0 24px;
  }

  .face {
    grid-template: auto auto 210px / 1fr 1fr;
    grid-auto-flow: column;
    column-gap: 24px;
    padding: 16px 24px;
  }

  .face .picture {
    grid-row: 2 / 4;
    height: 240px;
  }

  .lens-title {
    padding-top: 0;
  }

  .side {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0 32px;
    border-left: 0;
    border-top: 1px solid var(--hair);
  }

  .side > .tabs {
    grid-column: 1 / -1;
    margin-bottom: 14px;
  }

  .side > .panel {
    grid-column: 1;
    grid-row: 2 / span 6;
    margin-top: 0;
  }

  .side > * + * {
    margin-top: 0;
    padding-top: 0;
    border-top: 0;
  }
}

@media (max-width: 640px) {
  .side {
    display: block;
  }

  .side > * + * {
    margin-top: 16px;
  }

  .schools :deep(.el-radio-button__inner) {
    padding: 13px 8px;
  }
}
</style>
