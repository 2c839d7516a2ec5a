<script setup lang="ts">
import { computed, onMounted, onUnmounted, shallowRef, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { stepPicture } from '@/api/client'
import type { StepPicture } from '@/api/types'
import ProblemNote from '@/components/ProblemNote.vue'
import StitchLine from '@/components/StitchLine.vue'
import BlockBack from '@/drawing/BlockBack.vue'
import BlockFace from '@/drawing/BlockFace.vue'
import { boxRound } from '@/drawing/geometry'
import { usePressStore } from '@/stores/press'

const props = defineProps<{ block: number }>()

const press = usePressStore()
const router = useRouter()

watch(() => props.block, (block) => press.open(block), { immediate: true })

const shown = computed(() => press.shown)
const count = computed(() => shown.value?.steps.length ?? 0)
const at = computed(() => Math.min(shown.value?.stepsDone ?? 0, count.value))
const step = computed(() => shown.value?.steps[at.value] ?? null)
/** What the step makes, of its own; the whole block once all is sewn. */
const picture = shallowRef<StepPicture | null>(null)
watch(
  [() => shown.value?.block.id, at],
  async ([block, number]) => {
    picture.value = null
    if (block === undefined || step.value === null) return
    const answer = await stepPicture(block, number).catch(() => null)
    if (shown.value?.block.id === block && at.value === number) picture.value = answer
  },
  { immediate: true },
)
const patches = computed(() => (step.value === null ? undefined : (picture.value?.patches ?? step.value.patches)))
const seams = computed(() => {
  const here = patches.value && new Set(patches.value)
  return (shown.value?.joins ?? []).filter((join) => here === undefined || join.patches.every((patch) => here.has(patch)))
})
/** Rows are wide and low: their two pictures stand one above the other. */
const isWide = computed(() => {
  const here = new Set(patches.value ?? [])
  const box = boxRound((shown.value?.face.patches ?? []).filter((patch) => here.has(patch.id)).flatMap((patch) => patch.points))
  return box.width > 2 * box.height
})
const deed = computed(() => ({ join: 'Sewn', press: 'Pressed', 'lay-out': 'Laid out' })[step.value?.do ?? 'join'])
const caution = computed(
  () =>
    ({
      join: 'Take each pin out as the needle comes to it; slow by hand over a lump.',
      press: 'Set the seam flat first, then press without sliding. Hot plate and steam: never leave the iron face down.',
      'lay-out': 'Face up, and compare with the picture.',
    })[step.value?.do ?? 'join'],
)

const done = () => at.value < count.value && press.setStepsDone(at.value + 1)
const back = () => at.value > 0 && press.setStepsDone(at.value - 1)

function onKey(event: KeyboardEvent) {
  if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || press.isSaving) return
  const deeds: Record<string, () => unknown> = { ' ': done, Enter: done, b: back, B: back, Escape: () => router.push({ name: 'press', params: { block: props.block } }) }
  const isOnControl = event.target instanceof HTMLElement && event.target.closest('a, button') !== null
  if (isOnControl && (event.key === ' ' || event.key === 'Enter')) return
  const deedOfKey = deeds[event.key]
  if (deedOfKey) {
    event.preventDefault()
    deedOfKey()
  }
}

onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <main class="machine">
    <template v-if="shown">
      <header>
        <RouterLink class="leave" :to="{ name: 'press', params: { block } }">{{ shown.block.name }}</RouterLink>
        <span class="soft">{{ step ? `step ${at + 1} of ${count}` : `${count} of ${count} steps` }}</span>
        <StitchLine class="line" :done="at" :all="count" label="Steps done" />
        <span class="soft" role="status">{{ press.isSaving ? 'Saving' : press.problem ? 'Not saved' : 'Saved' }}</span>
      </header>
      <ProblemNote v-if="press.problem" :text="press.problem" @close="press.problem = null">
        <button type="button" class="again" @click="press.open(block)">Load it again</button>
      </ProblemNote>
      <section v-if="step" class="step" aria-live="polite" :data-step="at">
        <h1>{{ step.title }}</h1>
        <p class="text">{{ step.text }}</p>
      </section>
      <section v-else class="step">
        <h1>All sewn and pressed</h1>
        <p class="text">Square up the block and measure it: {{ shown.face.unfinished.join(' x ') }} {{ shown.face.units }} from raw edge to raw edge. Not into the allowance.</p>
      </section>
      <div class="pictures" :class="{ wide: isWide }">
        <figure>
          <figcaption>Face</figcaption>
          <BlockFace :face="shown.face" :label="`Face: ${step?.title ?? 'the whole block'}`" :joins="shown.joins" :highlighted="step?.joins ?? []" :patches="patches" close-up :pixels="420" />
        </figure>
        <figure>
          <figcaption>Back <span class="soft">{{ step?.do === 'press' ? 'arrows show where the allowances lie' : 'pressed after' }}</span></figcaption>
          <BlockBack :name="step?.title ?? shown.block.name" :face="shown.face" :flaps="picture?.flaps ?? (step ? [] : shown.flaps)" :joins="seams" :crossings="step ? [] : shown.crossings" :patches="patches" :highlighted="step?.joins ?? []" :pixels="420" :is-live="false" />
        </figure>
      </div>
      <footer>
        <button type="button" class="deed" :disabled="at === 0" @click="back">Back <kbd>B</kbd></button>
        <p class="caution">{{ step ? caution : 'Rotary cutter: close the blade when you put it down, and cut away from yourself.' }}</p>
        <button v-if="step" type="button" class="deed done" @click="done">{{ deed }} <kbd>Space</kbd></button>
        <RouterLink v-else class="deed done" :to="{ name: 'shelf' }">To the shelf</RouterLink>
      </footer>
    </template>
    <template v-else>
      <ProblemNote v-if="press.problem" :text="press.problem" @close="press.problem = null" />
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

.pictures {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
  flex: 1;
  min-height: 0;
  padding: 8px 0 12px;
}

.pictures.wide {
  grid-template-columns: 1fr;
  grid-template-rows: 1fr 1fr;
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

  .pictures {
    grid-template-columns: 1fr;
    grid-template-rows: 1fr 1.2fr;
  }
}
</style>
