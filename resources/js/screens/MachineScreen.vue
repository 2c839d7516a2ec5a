<script setup lang="ts">
import { computed, shallowRef, useTemplateRef, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { awaited, stepPicture, stopPlanning } from '@/api/client'
import type { StepPicture, WorkStep } from '@/api/types'
import HandsDialog from '@/components/machine/HandsDialog.vue'
import MachineSettings from '@/components/machine/MachineSettings.vue'
import MeasureKeys from '@/components/machine/MeasureKeys.vue'
import StepPictures from '@/components/machine/StepPictures.vue'
import UnpickDialog from '@/components/machine/UnpickDialog.vue'
import PlanningNote from '@/components/PlanningNote.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import StationHints from '@/components/StationHints.vue'
import StitchLine from '@/components/StitchLine.vue'
import { useMachineChoices } from '@/composables/useMachineChoices'
import { useMachineKeys } from '@/composables/useMachineKeys'
import { useReadAloud } from '@/composables/useReadAloud'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { provideUnits } from '@/composables/useUnits'
import { useWakeLock } from '@/composables/useWakeLock'
import BlockFace from '@/drawing/BlockFace.vue'
import FractionText from '@/drawing/FractionText.vue'
import { usePressStore } from '@/stores/press'
import { useWorkStore } from '@/stores/work'

const props = defineProps<{ block: number }>()

const press = usePressStore()
const work = useWorkStore()
const router = useRouter()
useWakeLock()

const { isLeftHanded, isReadAloud, isSecondLook, isCounting, pedalKey } = useMachineChoices()
const unpicking = useTemplateRef<InstanceType<typeof UnpickDialog>>('unpicking')
const hands = useTemplateRef<InstanceType<typeof HandsDialog>>('hands')
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
provideUnits(() => shown.value?.face.units)
useScreenTitle(() => (shown.value === null || count.value === 0 ? null : `${step.value?.title ?? 'All sewn and pressed'}, ${shown.value.block.name}`))
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

/** Of a chain that is not sewn to its end. */
const halfSewn = computed(() => (step.value?.do === 'join' && step.value.counted > 0 ? { title: step.value.title, counted: step.value.counted } : null))

const deeds: Record<WorkStep['do'], string> = { cut: 'Cut', mark: 'Marked', join: 'Sewn', 'cut-apart': 'Cut apart', press: 'Pressed', 'square-up': 'Squared up', 'lay-out': 'Laid out', check: 'They meet', measure: 'Not measured' }
const isOneOfSeveral = computed(() => isCounting.value && work.timesLeft > 1)
const deed = computed(() => (step.value === null ? '' : isOneOfSeveral.value ? `One ${deeds[step.value.do].toLowerCase()}` : deeds[step.value.do]))
const again = computed(() => (step.value !== null && step.value.due < step.value.times ? 'Again. ' : ''))
const trip = computed(() => {
  const here = step.value
  if (here === null) return ''
  const later = work.steps.slice(work.at)
  const end = later.findIndex((one) => one.place !== here.place)
  const left = end < 0 ? later.length : end
  return left > 1 ? `${left} steps at the ${here.place}` : `at the ${here.place}`
})
const status = computed(() => (work.isSaved ? 'Saved' : work.isAway ? `No answer: ${work.queue.length} kept here` : 'Saving'))
const pausedWords = computed(() => (work.answered?.pausedAt ? `Since ${new Date(work.answered.pausedAt).toLocaleString([], { weekday: 'long', hour: '2-digit', minute: '2-digit' })}. ` : ''))
useReadAloud(
  computed(() => (step.value === null || work.isPaused ? '' : `${step.value.title}. ${again.value}${step.value.text}`)),
  isReadAloud,
)

/** Once any seam is to be pressed otherwise, what was drawn before is no longer true. */
watch(
  () => work.answered?.plan,
  async (now, before) => {
    if (now === undefined || before === undefined) return
    pictures.value = new Map()
    await press.open(props.block)
    await fetchPicture(step.value ?? undefined)
  },
)

const go = () => (work.isPaused ? work.resume() : isOneOfSeveral.value ? work.count() : work.done())

useMachineKeys({
  pedalKey,
  go,
  number: (number) => {
    if (step.value?.do !== 'measure' || number > 7 || work.isPaused) return false
    measuring.value?.key(number)
    return true
  },
  deeds: {
    enter: () => (work.isPaused ? work.resume() : work.done()),
    b: () => work.isPaused || work.back(),
    o: () => work.isPaused || work.otherwise(),
    u: () => work.isPaused || unpicking.value?.open(),
    p: () => (work.isPaused ? work.resume() : work.pause()),
    l: () => (isLeftHanded.value = !isLeftHanded.value),
    r: () => (isReadAloud.value = !isReadAloud.value),
    c: () => (isCounting.value = !isCounting.value),
    escape: () => router.push({ name: 'press', params: { block: props.block } }),
  },
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
        <button v-if="step && !work.isPaused" type="button" class="put-down" @click="work.pause">Put it down <kbd>P</kbd></button>
        <RouterLink class="book" :to="{ name: 'logbook-of', params: { block } }">Logbook</RouterLink>
        <MachineSettings :thing="{ kind: 'blocks', id: block, name: shown?.block.name ?? 'this block' }" :chain="work.answered?.chain ?? 'row-by-row'" @sew-as="work.sewAs" />
      </header>
      <div class="middle">
        <ProblemNote v-if="work.problem ?? press.problem" :text="work.problem ?? press.problem ?? ''" @close="((work.problem = null), (press.problem = null))">
          <button type="button" class="again" @click="work.open(block)">Load it again</button>
        </ProblemNote>
        <p v-if="work.said" class="said" role="status"><b>{{ work.saidOf }}</b> <FractionText :text="work.said" /></p>
        <section v-if="work.isPaused && step" class="paused" aria-live="polite" :data-step="work.at">
          <h1>Put down</h1>
          <p class="text">{{ pausedWords }}Everything is kept. You stopped at step {{ work.at + 1 }}, {{ step.title }}<template v-if="work.timesLeft < step.times">, with {{ work.timesLeft }} of {{ step.times }} still to do</template>: <FractionText :text="step.text" /></p>
          <p class="soft">Switch the iron off, close the blade, count the pins in.</p>
        </section>
        <section v-else-if="step" class="step" aria-live="polite" :data-step="work.at" :data-do="step.do">
          <h1>{{ step.title }}<span v-if="step.times > 1" class="due" :data-left="work.timesLeft"><template v-if="work.timesLeft < step.times"><b>{{ work.timesLeft }}</b> of {{ step.times }} left</template><template v-else>{{ step.times }} times</template></span></h1>
          <p class="text"><FractionText :text="again + step.text" /></p>
          <p v-if="step.do === 'lay-out'"><RouterLink class="link-button" :to="{ name: 'photo', params: { block } }">Photograph it, and see whether it is right</RouterLink></p>
          <MeasureKeys v-if="step.do === 'measure' && step.size" :key="step.key" ref="measuring" :size="step.size" :units="shown.face.units" @measured="work.measured" />
        </section>
        <section v-else class="step">
          <h1>All sewn and pressed</h1>
          <p class="text">Every step is done. <FractionText :text="shown.face.unfinished.join(' x ')" /> {{ shown.face.units }} from raw edge to raw edge.</p>
        </section>
        <StepPictures v-if="!work.isPaused || !step" :press="shown" :step="step" :picture="picture" :is-left-handed="isLeftHanded" :is-second-look="isSecondLook" />
        <StationHints v-if="step && !work.isPaused" at="machine" />
        <p v-if="!work.isPaused" class="caution">{{ step ? step.caution : 'Rotary cutter: close the blade when you put it down, and cut away from yourself.' }}</p>
      </div>
      <footer>
        <button type="button" class="deed" :disabled="(work.at === 0 && !step?.counted) || work.isPaused" @click="work.back">Back <kbd>B</kbd></button>
        <button v-if="!work.isPaused" type="button" class="deed small" @click="unpicking?.open()">Unpick <kbd>U</kbd></button>
        <button v-if="step?.do === 'press' && !work.isPaused" type="button" class="deed small" @click="work.otherwise">Lies the other way <kbd>O</kbd></button>
        <span class="between" />
        <figure v-if="step && (work.answered?.blocks ?? 1) > 1" class="model">
          <BlockFace :face="shown.face" label="The block as it must look, the model for all" :pixels="76" />
          <figcaption>the model</figcaption>
        </figure>
        <button v-if="step" type="button" class="pedal" aria-label="Pedal" @click="go"><svg viewBox="0 0 64 44" aria-hidden="true"><path d="M4 36 L52 14 L60 20 L60 36 Z" fill="none" stroke="currentColor" stroke-width="3" stroke-linejoin="round" /><path d="M4 40 H60" stroke="currentColor" stroke-width="3" /></svg></button>
        <button v-if="step && isOneOfSeveral && !work.isPaused" type="button" class="deed small" @click="work.done">All {{ work.timesLeft }} <kbd>Enter</kbd></button>
        <button v-if="step" type="button" class="deed done" data-work @click="go">{{ work.isPaused ? 'Go on' : deed }} <kbd>Space</kbd></button>
        <RouterLink v-else class="deed done" :to="{ name: 'shelf' }">To the shelf</RouterLink>
      </footer>
      <UnpickDialog ref="unpicking" :block="block" :joins="shown.joins" :sewn="work.answered?.sewn ?? []" :blocks="work.answered?.blocks ?? 1" :is-saved="work.isSaved" :here="halfSewn" @unpick="work.unpick" @unpick-here="work.unpickHere" @hands="hands?.open()" />
      <HandsDialog ref="hands" :block="block" @mend="work.mendHands" />
    </template>
    <template v-else>
      <ProblemNote v-if="work.problem ?? press.problem" :text="work.problem ?? press.problem ?? ''" @close="((work.problem = null), (press.problem = null))" />
      <PlanningNote v-else-if="awaited" :search="awaited" :has-plan="false" @stop="stopPlanning(awaited.key)" />
      <p v-else class="soft" role="status">Working out the steps</p>
    </template>
  </main>
</template>

<style scoped>
.machine {
  display: flex;
  flex-direction: column;
  height: 100dvh;
  padding: 20px 34px 22px;
  font-size: 24px;
}

/* The main button and the way out stay where they are; what a small window has no room for scrolls between them. */
.middle {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-height: 0;
  margin: 0 -8px;
  padding: 0 8px;
  overflow-y: auto;
}

.middle > .pictures {
  flex: 1 0 190px;
}

header {
  display: flex;
  align-items: center;
  gap: 20px;
  font-size: 21px;
}

.leave,
.book {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
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

.said {
  margin: 10px 0 0;
  padding: 10px 16px;
  border-left: 6px solid var(--thread);
  background: var(--paper);
  font-size: 26px;
}

.left-handed footer,
.left-handed header {
  flex-direction: row-reverse;
}

.left-handed :deep(.settings > div) {
  right: auto;
  left: 0;
}

footer {
  display: flex;
  align-items: center;
  gap: 24px;
}

.between {
  flex: 1;
}

.model {
  display: grid;
  grid-template-columns: 76px auto;
  gap: 8px;
  align-items: center;
  height: 76px;
  margin: 0;
  color: var(--soft);
  font-size: 18px;
}

.caution {
  min-height: 1.25em;
  margin-bottom: 8px;
  color: var(--soft);
  font-size: 21px;
  line-height: 1.25;
}

.put-down {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 21px;
  cursor: pointer;
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

.due {
  margin-left: 20px;
  color: var(--soft);
  font-size: 28px;
  font-weight: 400;
}

.due b {
  color: var(--thread);
  font-size: 42px;
}

.paused {
  display: grid;
  align-content: center;
  gap: 18px;
  flex: 1;
}

.paused .soft {
  font-size: 26px;
}

@media (max-width: 900px) {
  .machine {
    padding: 16px 24px;
  }

  header,
  footer {
    flex-wrap: wrap;
    gap: 12px;
  }

  header {
    justify-content: space-between;
    gap: 12px 10px;
    font-size: 18px;
  }

  .put-down {
    font-size: 18px;
  }

  footer {
    gap: 10px;
  }

  .deed {
    padding: 0 16px;
    font-size: 24px;
  }

  .deed.small {
    padding: 0 10px;
    font-size: 19px;
  }

  .pedal {
    width: 64px;
  }

  .line {
    flex-basis: 100%;
    order: 1;
  }

  .done {
    margin-left: auto;
  }
}

@media (max-height: 740px) {
  .machine {
    padding: 12px 28px;
  }

  .step {
    padding: 8px 0 2px;
  }

  h1 {
    font-size: 32px;
  }

  .text {
    font-size: 24px;
  }

  .said {
    padding: 6px 14px;
    font-size: 21px;
  }

  .due,
  .due b {
    font-size: 26px;
  }

  .caution {
    margin-bottom: 4px;
    font-size: 18px;
  }

  .deed,
  .pedal {
    min-height: 58px;
  }

  .model {
    height: 58px;
  }
}

/* A phone lying down, a desk at 200 %: the words beside the picture. */
@media (max-height: 520px) and (min-width: 600px) {
  .machine {
    padding: 6px 16px;
  }

  header {
    flex-wrap: nowrap;
    font-size: 16px;
    white-space: nowrap;
  }

  header > .soft:first-of-type {
    overflow: hidden;
    text-overflow: ellipsis;
  }

  .put-down {
    font-size: 16px;
  }

  .line {
    flex-basis: 0;
    order: 0;
  }

  .middle {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) auto;
    gap: 0 16px;
    overflow-y: visible;
  }

  .step,
  .paused {
    grid-column: 1;
    grid-row: 1;
    overflow-y: auto;
  }

  .said {
    grid-column: 1;
    grid-row: 1;
    align-self: end;
  }

  .middle > .pictures {
    grid-column: 2;
    grid-row: 1 / 3;
    padding: 4px 0;
  }

  .caution {
    grid-column: 1;
    grid-row: 2;
    font-size: 16px;
  }

  h1 {
    font-size: 24px;
  }

  .text {
    font-size: 19px;
  }

  .deed,
  .pedal {
    min-height: 48px;
    font-size: 19px;
  }

  footer {
    flex-wrap: nowrap;
  }

  .model {
    display: none;
  }
}

@media (max-width: 480px) {
  .machine {
    padding: 12px 16px;
  }

  h1 {
    font-size: 30px;
  }

  .text {
    font-size: 23px;
  }

  .caution {
    font-size: 17px;
  }
}

/* A desk at 400 %: everything scrolls but the main button. */
@media (max-height: 420px) and (max-width: 599px) {
  .machine {
    display: block;
    height: auto;
    padding: 6px 10px 0;
  }

  header {
    gap: 0 12px;
    font-size: 15px;
  }

  .line {
    display: none;
  }

  .put-down,
  .caution {
    font-size: 15px;
  }

  h1 {
    font-size: 22px;
  }

  .text {
    font-size: 18px;
  }

  .middle {
    overflow: visible;
  }

  footer {
    position: sticky;
    bottom: 0;
    z-index: 1;
    flex-wrap: nowrap;
    margin: 0 -10px;
    padding: 4px 10px;
    background: var(--ground);
    overflow-x: auto;
  }

  .deed,
  .pedal {
    flex: none;
    min-height: 48px;
    font-size: 18px;
  }

  .done {
    order: -1;
    margin: 0;
  }

  .between,
  .model {
    display: none;
  }
}
</style>
