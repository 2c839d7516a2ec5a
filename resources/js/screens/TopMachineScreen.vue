<script setup lang="ts">
import { computed, nextTick, onMounted, onUnmounted, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { TopShown, TopWorkShown } from '@/api/types'
import PrintButton from '@/components/along/PrintButton.vue'
import SettingsButton from '@/components/settings/SettingsButton.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { useMachineChoices } from '@/composables/useMachineChoices'
import { mayAct, useSingleKeys } from '@/composables/useSingleKeys'
import { provideUnits } from '@/composables/useUnits'
import FractionText from '@/drawing/FractionText.vue'
import { sheetsAt } from '@/drawing/along'
import TopFace from '@/drawing/TopFace.vue'

/** A top at the machine: the step that comes next, and the map of what is sewn. */
const props = defineProps<{ top: number }>()

/** Milliseconds between two looks at a plan that is being worked out. */
const AGAIN = 1500

const shown = shallowRef<TopShown | null>(null)
const work = shallowRef<TopWorkShown | null>(null)
const problem = ref<string | null>(null)
const isBusy = ref(false)
const heading = ref<HTMLElement | null>(null)
let timer: ReturnType<typeof setTimeout> | undefined

const step = computed(() => (work.value?.next == null ? null : (work.value.steps[work.value.next] ?? null)))
const left = computed(() => (step.value ? step.value.times - step.value.counted : 0))
const done = computed(() => work.value?.steps.filter((one) => one.counted >= one.times).length ?? 0)
const PARTS = { cutting: 'Cutting', blocks: 'Blocks', top: 'The top', borders: 'Borders' }
provideUnits(() => shown.value?.fields.units)
useScreenTitle(() => (shown.value === null ? null : step.value ? `${step.value.title}, ${shown.value.name}` : `Sewing ${shown.value.name}`))

const told = async (asked: () => Promise<TopWorkShown>) => {
  if (isBusy.value) return
  isBusy.value = true
  problem.value = null
  try {
    const before = work.value?.next
    work.value = await asked()
    clearTimeout(timer)
    if (work.value.state === 'planning') timer = setTimeout(() => told(() => api.workOnTop(props.top)), AGAIN)
    if (before !== undefined && before !== work.value.next) void nextTick(() => heading.value?.focus())
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  } finally {
    isBusy.value = false
  }
}
onMounted(async () => {
  shown.value = await api.top(props.top).catch((error: unknown) => {
    problem.value = error instanceof Error ? error.message : String(error)
    return null
  })
  if (shown.value !== null) await told(() => api.workOnTop(props.top))
})
onUnmounted(() => clearTimeout(timer))

const tell = (deed: 'begin' | 'one' | 'done' | 'back') => told(() => api.tellTop(props.top, deed, deed === 'one' || deed === 'done' ? (step.value?.key ?? '') : ''))

const { pedalKey } = useMachineChoices()
const singleKeys = useSingleKeys()

/** A pedal is a keyboard to the computer: the space bar, Enter or the right arrow. */
function press(event: KeyboardEvent) {
  if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || (event.target as HTMLElement).closest('a, button, summary, [role="dialog"]') !== null) return
  if ([' ', 'Enter', 'ArrowRight', pedalKey.value].includes(event.key) && step.value) void tell('done')
  else if (event.key === '+' && step.value && mayAct(event, singleKeys.value, document.querySelector('main'))) void tell('one')
  else if (['Backspace', 'ArrowLeft'].includes(event.key) && work.value?.back) void tell('back')
  else return
  event.preventDefault()
}
onMounted(() => window.addEventListener('keydown', press))
onUnmounted(() => window.removeEventListener('keydown', press))

const isNow = (number: number) => number === work.value?.next
</script>

<template>
  <main class="top-machine">
    <header>
      <RouterLink class="back" :to="{ name: 'top', params: { top } }">{{ shown?.name ?? 'Top' }}</RouterLink>
      <h1 ref="heading" tabindex="-1">{{ step ? step.title : work?.state === 'going' ? 'Sewn' : 'At the machine' }}</h1>
      <p v-if="work?.state === 'going'" class="soft" role="status">{{ done }} of {{ work.steps.length }} steps done; {{ work.wholes.length }} {{ work.wholes.length === 1 ? 'block is' : 'blocks are' }} sewn<template v-if="step">; now at the {{ step.at }}</template></p>
      <div class="deeds">
        <PrintButton :thing="{ kind: 'tops', id: top, name: shown?.name ?? 'this top' }" :kinds="sheetsAt.machine ?? []" />
        <SettingsButton />
      </div>
    </header>
    <ProblemNote v-if="problem" :text="problem" @close="problem = null" />
    <div v-if="work?.isChanged" class="changed" role="status">
      <span>The top was changed since the sewing began. These steps are for the top as it was.</span>
      <ElButton @click="tell('begin')">Go on with the top as it is now</ElButton>
    </div>

    <div v-if="shown && work" class="table">
      <div class="picture"><TopFace :picture="work.picture ?? shown.picture" :label="`${shown.name}: what is sewn, and where the step is`" :work="work.state === 'going' ? { wholes: work.wholes, seams: work.seams, places: step?.places ?? [], now: step?.seams ?? [] } : undefined" /></div>
      <div class="panel" data-work>
        <template v-if="work.state === 'planning'"><p role="status">The plan is being worked out; then the sewing begins.</p></template>
        <template v-else-if="work.state === 'new'">
          <p>The plan is there. From the first step on it is held: every block is pressed like the ones that are sewn, until you say otherwise.</p>
          <ElButton type="primary" class="large" @click="tell('begin')">Begin</ElButton>
        </template>
        <template v-else>
          <article v-if="step" class="step">
            <p class="part">{{ PARTS[step.part] }}</p>
            <p class="text"><FractionText :text="step.text" /></p>
            <p v-if="step.times > 1" class="times"><b>{{ left }}</b> of {{ step.times }} left</p>
            <p v-if="step.caution" class="soft">{{ step.caution }}</p>
            <div class="keys">
              <ElButton type="primary" class="large" :disabled="isBusy" @click="tell('done')">{{ step.times > 1 ? 'All done' : 'Done' }}</ElButton>
              <ElButton v-if="step.times > 1" class="large" :disabled="isBusy" @click="tell('one')">One more</ElButton>
              <ElButton class="large" :disabled="isBusy || !work.back" @click="tell('back')">Take back</ElButton>
            </div>
            <p class="soft">Pedal, space bar or Enter: done. Plus: one more. Backspace: take back.</p>
          </article>
          <article v-else class="step">
            <p class="text">Everything is done. The top is sewn.</p>
            <ElButton class="large" :disabled="!work.back" @click="tell('back')">Take back</ElButton>
          </article>
          <details>
            <summary>All {{ work.steps.length }} steps</summary>
            <ol>
              <li v-for="(one, number) in work.steps" :key="one.key" :class="{ now: isNow(number) }" :aria-current="isNow(number) ? 'step' : undefined">
                <b>{{ one.title }}.</b> <FractionText :text="one.text" /> <span v-if="one.counted >= one.times" class="done">done</span>
              </li>
            </ol>
          </details>
        </template>
      </div>
    </div>
  </main>
</template>

<style scoped>
.top-machine {
  max-width: 1280px;
  margin: 0 auto;
  padding: 16px 24px 40px;
}

header {
  display: grid;
  gap: 4px;
  padding-bottom: 12px;
}

h1:focus {
  outline: none;
}

.back {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

.table {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 440px);
  gap: 28px;
  align-items: start;
}

.picture {
  height: min(72vh, 720px);
}

.step {
  display: grid;
  gap: 10px;
}

.part {
  font-size: 17px;
  font-weight: 600;
}

.text {
  font-size: 24px;
  line-height: 1.35;
}

.times {
  font-size: 21px;
}

.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.large {
  min-height: 64px;
  padding: 0 26px;
  margin: 0;
  font-size: 21px;
}

summary {
  min-height: 44px;
  padding: 10px 0;
  font-size: 19px;
  font-weight: 600;
  cursor: pointer;
}

ol {
  padding-left: 34px;
}

li {
  padding: 3px 0;
}

.now {
  font-weight: 600;
}

.done {
  font-weight: 600;
}

.changed {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding: 8px 0;
}

@media (width < 900px) {
  .top-machine {
    padding: 10px 14px 32px;
  }

  .table {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }

  .picture {
    height: min(38vh, 420px);
  }

  .text {
    font-size: 21px;
  }
}
</style>
