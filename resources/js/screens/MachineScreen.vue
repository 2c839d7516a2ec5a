<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { stepPicture } from '@/api/client'
import type { StepPicture, UnitPicture, UnpickCause, WorkStep } from '@/api/types'
import MeasureKeys from '@/components/MeasureKeys.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import StitchLine from '@/components/StitchLine.vue'
import UnpickDialog from '@/components/UnpickDialog.vue'
import { useKept } from '@/composables/useKept'
import { useWakeLock } from '@/composables/useWakeLock'
import BlockBack from '@/drawing/BlockBack.vue'
import BlockFace from '@/drawing/BlockFace.vue'
import { boxRound } from '@/drawing/geometry'
import PiecesInHand from '@/drawing/PiecesInHand.vue'
import SeamRuler from '@/drawing/SeamRuler.vue'
import UnitIcon from '@/drawing/UnitIcon.vue'
import { usePressStore } from '@/stores/press'
import { useWorkStore } from '@/stores/work'

const props = defineProps<{ block: number }>()

const press = usePressStore()
const work = useWorkStore()
const router = useRouter()
useWakeLock()

const isLeftHanded = useKept('left-handed', false)
const isReadAloud = useKept('read-aloud', false)
const isSecondLook = useKept('second-look', true)
const pedalKey = useKept('pedal-key', 'PageDown')
const isChoosingKey = ref(false)
const unpicking = useTemplateRef<InstanceType<typeof UnpickDialog>>('unpicking')
const measuring = useTemplateRef<InstanceType<typeof MeasureKeys>>('measuring')

watch(
  () => props.block,
  (block) => {
    void press.open(block)
    void work.open(block)
  },
  { immediate: true },
)

const shown = computed(() => press.shown)
const count = computed(() => work.steps.length)
const step = computed(() => work.step)
const key = computed(() => step.value?.key ?? null)

/** What each step shows, of its own; the next one is fetched while this one is done. */
const pictures = shallowRef(new Map<string, StepPicture>())
async function fetchPicture(wanted: WorkStep | undefined) {
  if (wanted === undefined || pictures.value.has(wanted.key)) return
  const answer = await stepPicture(props.block, wanted.key).catch(() => null)
  if (answer !== null) pictures.value = new Map(pictures.value).set(wanted.key, answer)
}
watch(
  key,
  async () => {
    await fetchPicture(step.value ?? undefined)
    await fetchPicture(work.steps[work.at + 1])
  },
  { immediate: true },
)
const picture = computed(() => pictures.value.get(key.value ?? '') ?? null)
const patches = computed(() => (step.value === null ? undefined : (picture.value?.patches ?? step.value.patches)))
const seams = computed(() => {
  const here = patches.value && new Set(patches.value)
  return (shown.value?.joins ?? []).filter((join) => here === undefined || join.patches.every((patch) => here.has(patch)))
})
const isCloseUp = computed(() => step.value?.do !== 'cut' && step.value?.do !== 'mark')
/** Rows are wide and low: their pictures stand one above the other. */
const isWide = computed(() => {
  const here = new Set(patches.value ?? [])
  const box = boxRound((shown.value?.face.patches ?? []).filter((patch) => here.has(patch.id)).flatMap((patch) => patch.points))
  return isCloseUp.value && box.width > 2 * box.height
})
const hasBack = computed(() => step.value === null || step.value.do === 'press')
const twice = computed(() => (isSecondLook.value ? (picture.value?.lookTwice[0] ?? null) : null))
const colours = computed(() => new Map((shown.value?.face.fabrics ?? []).map((fabric) => [fabric.key, fabric.color])))
const coloured = (unit: UnitPicture[]) => unit.map((patch) => ({ color: colours.value.get(patch.fabric) ?? '#fff', points: patch.points }))
const deed = computed(
  () =>
    ({ cut: 'Cut', mark: 'Marked', join: 'Sewn', 'cut-apart': 'Cut apart', press: 'Pressed', 'square-up': 'Squared up', 'lay-out': 'Laid out', check: 'They meet', measure: 'Not measured' })[step.value?.do ?? 'join'],
)
const again = computed(() => (step.value !== null && step.value.open.length > 0 && step.value.open.length < step.value.joins.length ? `Again: ${step.value.open.length} of ${step.value.joins.length} seams. ` : ''))
const trip = computed(() => {
  const here = step.value
  if (here === null) return ''
  const later = work.steps.slice(work.at)
  const end = later.findIndex((one) => one.place !== here.place)
  const left = end < 0 ? later.length : end
  return left > 1 ? `${left} steps at the ${here.place}` : `at the ${here.place}`
})
const status = computed(() => (work.isSaved ? 'Saved' : work.isAway ? `No answer: ${work.queue.length} kept here` : 'Saving'))

const changed = async (deed: unknown) => {
  await deed
  pictures.value = new Map()
  await press.open(props.block)
  await fetchPicture(step.value ?? undefined)
}
const otherwise = () => changed(work.otherwise())
const unpick = (join: number, cause: UnpickCause) => changed(work.unpick(join, cause))

watch([key, isReadAloud], () => {
  if (!('speechSynthesis' in window)) return
  window.speechSynthesis.cancel()
  if (isReadAloud.value && step.value !== null) window.speechSynthesis.speak(new SpeechSynthesisUtterance(`${step.value.title}. ${again.value}${step.value.text}`))
})

function onKey(event: KeyboardEvent) {
  if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return
  if (isChoosingKey.value) {
    event.preventDefault()
    if (event.key !== 'Escape' && event.key !== 'Tab') pedalKey.value = event.key
    isChoosingKey.value = false
    return
  }
  const deeds: Record<string, () => unknown> = {
    ' ': work.done,
    enter: work.done,
    b: work.back,
    o: otherwise,
    u: () => unpicking.value?.open(),
    l: () => (isLeftHanded.value = !isLeftHanded.value),
    r: () => (isReadAloud.value = !isReadAloud.value),
    escape: () => router.push({ name: 'press', params: { block: props.block } }),
  }
  const isOnControl = event.target instanceof HTMLElement && event.target.closest('a, button, input, summary') !== null
  if (isOnControl && (event.key === ' ' || event.key === 'Enter')) return
  const number = Number(event.key)
  const chosen =
    event.key === pedalKey.value ? work.done
    : step.value?.do === 'measure' && event.key !== ' ' && number >= 1 && number <= 7 ? () => measuring.value?.key(number)
    : deeds[event.key.toLowerCase()]
  if (chosen) {
    event.preventDefault()
    void chosen()
  }
}

onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => {
  window.removeEventListener('keydown', onKey)
  if ('speechSynthesis' in window) window.speechSynthesis.cancel()
})
</script>

<template>
  <main class="machine" :class="{ 'left-handed': isLeftHanded }">
    <template v-if="shown && count > 0">
      <header>
        <RouterLink class="leave" :to="{ name: 'press', params: { block } }">{{ shown.block.name }}</RouterLink>
        <span class="soft">{{ step ? `step ${work.at + 1} of ${count}, ${trip}` : `${count} of ${count} steps` }}</span>
        <StitchLine class="line" :done="work.at" :all="count" label="Steps done" />
        <span class="soft" role="status">{{ status }}</span>
        <details class="settings">
          <summary>Settings</summary>
          <div>
            <label><input v-model="isLeftHanded" type="checkbox" /> Left-handed <kbd>L</kbd></label>
            <label><input v-model="isReadAloud" type="checkbox" /> Read aloud <kbd>R</kbd></label>
            <label><input v-model="isSecondLook" type="checkbox" /> Second look at units that could lie turned</label>
            <button type="button" class="again" @click="isChoosingKey = true">{{ isChoosingKey ? 'Press the pedal now' : `Pedal types ${pedalKey === ' ' ? 'Space' : pedalKey}: choose its key` }}</button>
          </div>
        </details>
      </header>
      <ProblemNote v-if="work.problem ?? press.problem" :text="work.problem ?? press.problem ?? ''" @close="((work.problem = null), (press.problem = null))">
        <button type="button" class="again" @click="work.open(block)">Load it again</button>
      </ProblemNote>
      <p v-if="work.said" class="said" role="status">{{ work.said }}</p>
      <section v-if="step" class="step" aria-live="polite" :data-step="work.at" :data-do="step.do">
        <h1>{{ step.title }}<span v-if="step.times > 1" class="times">{{ step.times }} times</span></h1>
        <p class="text">{{ again }}{{ step.text }}</p>
        <MeasureKeys v-if="step.do === 'measure' && step.size" :key="step.key" ref="measuring" :size="step.size" :units="shown.face.units" @measured="work.measured" />
      </section>
      <section v-else class="step">
        <h1>All sewn and pressed</h1>
        <p class="text">Every step is done. {{ shown.face.unfinished.join(' x ') }} {{ shown.face.units }} from raw edge to raw edge.</p>
      </section>
      <div class="pictures" :class="{ wide: isWide && !picture?.ruler, ruled: picture?.ruler }">
        <figure v-if="picture?.ruler" class="ruler">
          <figcaption>What meets along the seam</figcaption>
          <SeamRuler :join="picture.ruler" :fabrics="shown.face.fabrics" :units="shown.face.units" />
        </figure>
        <figure v-if="picture?.pair" class="in-hand">
          <figcaption>In the hand <span class="soft">right sides together, sew at the {{ isLeftHanded ? 'left' : 'right' }}</span></figcaption>
          <PiecesInHand :face="shown.face" :pair="picture.pair" :is-left-handed="isLeftHanded" :label="`Right sides together, edge to sew at the ${isLeftHanded ? 'left' : 'right'}`" />
        </figure>
        <figure class="opened">
          <figcaption>{{ picture?.pair ? 'Opened' : 'Face' }}</figcaption>
          <BlockFace :face="shown.face" :label="`Face: ${step?.title ?? 'the whole block'}`" :joins="shown.joins" :highlighted="step?.joins ?? []" :patches="patches" :close-up="isCloseUp" :pixels="420" />
        </figure>
        <figure v-if="hasBack" class="opened">
          <figcaption>Back <span class="soft">{{ step ? 'arrows show where the allowances lie' : 'as it is pressed' }}</span></figcaption>
          <BlockBack :name="step?.title ?? shown.block.name" :face="shown.face" :flaps="picture?.flaps ?? (step ? [] : shown.flaps)" :joins="seams" :crossings="step ? [] : shown.crossings" :patches="patches" :highlighted="step?.joins ?? []" :pixels="420" :is-live="false" />
        </figure>
        <figure v-if="twice && twice.wrong[0]" class="twice">
          <figcaption>Look twice <span class="soft">row {{ twice.row }}, column {{ twice.column }}</span></figcaption>
          <div>
            <span><UnitIcon :patches="coloured(twice.right)" label="It must look like this" /><b>like this</b></span>
            <span><UnitIcon :patches="coloured(twice.wrong[0].patches)" label="It must not look like this" /><b class="not">not like this</b></span>
          </div>
        </figure>
      </div>
      <footer>
        <button type="button" class="deed" :disabled="work.at === 0" @click="work.back">Back <kbd>B</kbd></button>
        <button type="button" class="deed small" @click="unpicking?.open()">Unpick <kbd>U</kbd></button>
        <button v-if="step?.do === 'press'" type="button" class="deed small" @click="otherwise">It lies the other way <kbd>O</kbd></button>
        <p class="caution">{{ step ? step.caution : 'Rotary cutter: close the blade when you put it down, and cut away from yourself.' }}</p>
        <button v-if="step" type="button" class="pedal" aria-label="Pedal" @click="work.done"><svg viewBox="0 0 64 44" aria-hidden="true"><path d="M4 36 L52 14 L60 20 L60 36 Z" fill="none" stroke="currentColor" stroke-width="3" stroke-linejoin="round" /><path d="M4 40 H60" stroke="currentColor" stroke-width="3" /></svg></button>
        <button v-if="step" type="button" class="deed done" @click="work.done">{{ deed }} <kbd>Space</kbd></button>
        <RouterLink v-else class="deed done" :to="{ name: 'shelf' }">To the shelf</RouterLink>
      </footer>
      <UnpickDialog ref="unpicking" :block="block" :joins="shown.joins" :sewn="work.answered?.sewn ?? []" @unpick="unpick" />
    </template>
    <template v-else>
      <ProblemNote v-if="work.problem ?? press.problem" :text="work.problem ?? press.problem ?? ''" @close="((work.problem = null), (press.problem = null))" />
      <p v-else class="soft" role="status">Working out the steps</p>
    </template>
  </main>
</template>

<style scoped>
.machine {
  display: flex;
  flex-direction: column;
  height: 100%;
  min-height: 700px;
  padding: 20px 34px 22px;
  font-size: 24px;
}

header {
  display: flex;
  align-items: center;
  gap: 20px;
  font-size: 21px;
}

.leave {
  font-weight: 650;
  text-underline-offset: 4px;
}

.line {
  flex: 1;
}

.step {
  padding: 14px 0 6px;
}

h1 {
  font-size: 42px;
}

.text {
  font-size: 30px;
  line-height: 1.25;
}

.times {
  margin-left: 20px;
  color: var(--soft);
  font-size: 28px;
  font-weight: 400;
}

.said {
  margin: 10px 0 0;
  padding: 10px 16px;
  border-left: 6px solid var(--thread);
  background: var(--paper);
  font-size: 26px;
}

.settings {
  position: relative;
}

.settings summary {
  min-height: 44px;
  padding: 8px 0;
  cursor: pointer;
}

.settings div {
  position: absolute;
  right: 0;
  z-index: 2;
  display: grid;
  gap: 6px;
  width: 420px;
  padding: 16px;
  border: 2px solid var(--hair);
  border-radius: 8px;
  background: var(--paper);
}

.settings label {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 44px;
}

.settings input {
  width: 24px;
  height: 24px;
  accent-color: var(--thread);
}

.left-handed footer,
.left-handed header {
  flex-direction: row-reverse;
}

.left-handed .settings div {
  right: auto;
  left: 0;
}

.pictures {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: 1fr;
  gap: 24px;
  flex: 1;
  min-height: 0;
  padding: 8px 0 12px;
}

.pictures.wide {
  grid-auto-flow: row dense;
  grid-template-columns: 1fr 1fr;
  grid-auto-rows: minmax(0, 1fr);
}

.pictures.wide .opened {
  grid-column: 1 / -1;
}

/* Two long edges stand upright in the hand: a tall picture beside the ruler and the opened rows. */
.pictures.ruled {
  grid-template-columns: minmax(220px, 1fr) 4fr;
  grid-template-rows: minmax(0, 1fr) minmax(0, 1fr);
}

.ruled .ruler,
.ruled .opened {
  grid-column: 2;
}

.ruled .in-hand {
  grid-row: 1 / -1;
  grid-column: 1;
}

figure :deep(svg) {
  width: 100%;
  height: 100%;
  min-height: 0;
}

.twice div {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
  min-height: 0;
}

.twice div span {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  justify-items: center;
  min-height: 0;
}

.twice b {
  font-size: 22px;
}

.not {
  color: var(--madder, #8c2f24);
}

figure {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  margin: 0;
  min-height: 0;
  gap: 4px;
}

figcaption {
  font-size: 21px;
  font-weight: 650;
}

figcaption .soft {
  font-weight: 400;
}

footer {
  display: flex;
  align-items: center;
  gap: 24px;
}

.caution {
  flex: 1;
  color: var(--soft);
  font-size: 21px;
  line-height: 1.25;
}

.deed {
  display: inline-flex;
  align-items: center;
  gap: 12px;
  min-height: 72px;
  padding: 0 28px;
  border: 2px solid var(--hair);
  border-radius: 10px;
  background: var(--paper);
  color: var(--ink);
  font-size: 28px;
  text-decoration: none;
  cursor: pointer;
}

.deed:disabled {
  color: #8b949a;
  cursor: default;
}

.small {
  padding: 0 16px;
  font-size: 21px;
}

.pedal {
  width: 88px;
  min-height: 72px;
  padding: 10px 12px;
  border: 2px dashed var(--hair);
  border-radius: 10px;
  background: none;
  color: var(--soft);
  cursor: pointer;
}

.done {
  border-color: var(--thread);
  background: var(--thread);
  color: #fff;
  font-weight: 650;
}

.deed:focus-visible {
  outline-offset: 4px;
}

.done kbd {
  background: none;
  border-color: #7fa39f;
  font-weight: 400;
  font-size: 20px;
}

.again {
  min-height: 44px;
}

@media (max-width: 900px) {
  .machine {
    padding: 16px 24px;
  }

  .pictures,
  .pictures.wide,
  .pictures.ruled {
    grid-auto-flow: row;
    grid-template-columns: 1fr;
    grid-template-rows: none;
    grid-auto-rows: minmax(0, 1fr);
  }

  .pictures.ruled figure,
  .pictures.wide figure {
    grid-row: auto;
    grid-column: auto;
  }

  header,
  footer {
    flex-wrap: wrap;
    gap: 12px;
  }

  .caution {
    flex-basis: 100%;
    order: -1;
  }

  .done {
    margin-left: auto;
  }
}
</style>
