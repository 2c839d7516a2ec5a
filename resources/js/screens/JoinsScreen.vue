<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import { changedInto } from '@/api/changes'
import * as api from '@/api/client'
import type { JoinsShown, SeamTestGiven } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import JoinSheet from '@/components/joins/JoinSheet.vue'
import MeetingChance from '@/components/joins/MeetingChance.vue'
import SeamTest from '@/components/joins/SeamTest.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import TradeWord from '@/components/TradeWord.vue'
import StationHints from '@/components/StationHints.vue'
import StationRail from '@/components/StationRail.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { provideUnits } from '@/composables/useUnits'
import { useStations } from '@/composables/useStations'
import BlockFace from '@/drawing/BlockFace.vue'
import { asTyped } from '@/drawing/fractions'
import FractionText from '@/drawing/FractionText.vue'
import { counted, percent } from '@/drawing/words'

const props = defineProps<{ block: number }>()

const shown = shallowRef<JoinsShown | null>(null)
provideUnits(() => shown.value?.face.units)
useScreenTitle(() => (shown.value === null ? null : `Joins, ${shown.value.block.name}`))
const chosen = ref<number | null>(null)
const problem = ref<string | null>(null)
const isBusy = ref(false)
/** By the join's number. */
const chances = ref<Record<string, number>>({})

watch(
  () => props.block,
  () => load(),
  { immediate: true },
)

const { stations } = useStations(() => props.block, () => shown.value?.block.version)
const ranked = computed(() => {
  const byId = new Map((shown.value?.joins ?? []).map((one) => [one.id, one]))
  return (shown.value?.care ?? []).flatMap((id) => byId.get(id) ?? [])
})
const join = computed(() => ranked.value.find((one) => one.id === chosen.value) ?? ranked.value[0] ?? null)

async function load() {
  await told(async () => {
    shown.value = await api.joins(props.block)
  })
}

const choose = (takeUp: string | null, squareUp: JoinsShown['squareUp'], limits: { leave?: string; ease?: string } = {}) =>
  told(async () => {
    const now = shown.value
    if (now !== null) shown.value = await api.chooseSeams(now.block.id, now.block.version, { ...(takeUp === null ? {} : { takeUp }), squareUp, ...limits })
  })

const measured = (size: [string, string] | null) =>
  told(async () => {
    const [now, part] = [shown.value, join.value]
    if (now !== null && part !== null) {
      const { changed, ...heading } = await api.measurePart(now.block.id, now.block.version, part.id, size)
      shown.value = { ...changedInto(now, changed), ...heading }
    }
  })

const matches = (one: JoinsShown['joins'][number]) => one.marks.filter((mark) => mark.kind === 'match').length

const tested = (test: SeamTestGiven) =>
  told(async () => {
    const now = shown.value
    if (now !== null) shown.value = await api.testSeams(now.block.id, now.block.version, test)
  })

async function told(work: () => Promise<void>) {
  problem.value = null
  isBusy.value = true
  try {
    await work()
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <div class="station joins-screen">
    <StationRail :stations="stations" :block="block" :name="shown?.block.name" here="joins" />
    <main v-if="shown">
      <header>
        <div>
          <h1>{{ shown.block.name }}</h1>
          <p class="soft">{{ counted(shown.joins.length, 'join') }}, those that want most care first</p>
        </div>
        <p class="saved soft" role="status">{{ problem ? 'Not saved' : isBusy ? 'Saving' : 'Saved' }}</p>
        <StationHints at="joins" />
      </header>
      <ProblemNote v-if="problem" :text="problem" @close="problem = null"><ElButton @click="load">Load it again</ElButton></ProblemNote>
      <div class="bench">
        <ol class="list" data-work aria-label="Joins">
          <li v-for="one in ranked" :key="one.id">
            <button type="button" :aria-current="one.id === join?.id" :class="{ chosen: one.id === join?.id }" :data-join="one.id" @click="chosen = one.id">
              <span>{{ one.title }}<span v-if="one.times > 1" class="soft">, {{ one.times }} times</span></span>
              <span class="soft">{{ matches(one) || 'nothing' }} to match<template v-if="chances[one.id] !== undefined">, {{ percent(chances[one.id] ?? 0) }}</template></span>
            </button>
          </li>
        </ol>
        <JoinSheet v-if="join" :join="join" :face="shown.face" @measured="measured" />
        <aside>
          <BlockFace v-if="join" :face="shown.face" :patches="join.patches" :label="`Where ${join.title} lies`" :pixels="220" class="where" />
          <h2>Your seams</h2>
          <p>One seam takes <b><FractionText :text="shown.takeUp" /></b> {{ shown.face.units }}<template v-if="!shown.isMeasured">, as it should</template>.</p>
          <p class="effect">{{ shown.effect }}</p>
          <p v-if="shown.remedy" class="warn">{{ shown.remedy }}</p>
          <p v-if="shown.edgeTips > 0" class="soft">{{ counted(shown.edgeTips, 'tip ends', 'tips end') }} one allowance inside the raw edge of the block. Right so: the next seam is there.</p>
          <p v-if="shown.advice" class="warn" role="status">{{ shown.advice }}</p>
          <ChoiceField :model-value="shown.squareUp" label="Squared up before joining" :choices="[{ value: 'units', words: 'every unit' }, { value: 'none', words: 'nothing' }]" @update:model-value="choose(shown.isMeasured ? shown.takeUp : null, $event as 'units' | 'none')" />
          <TextField :model-value="asTyped(shown.leave, shown.face.units)" field="leave" label="Left alone up to" size="short" :after="shown.face.units" @done="choose(shown.isMeasured ? shown.takeUp : null, shown.squareUp, { leave: $event, ease: asTyped(shown.ease, shown.face.units) })" />
          <TextField :model-value="asTyped(shown.ease, shown.face.units)" field="ease" label="Eased up to" size="short" :after="shown.face.units" @done="choose(shown.isMeasured ? shown.takeUp : null, shown.squareUp, { leave: asTyped(shown.leave, shown.face.units), ease: $event })" />
          <SeamTest :units="shown.face.units" :is-busy="isBusy" @tested="tested" />
          <MeetingChance :block="block" :version="shown.block.version" :units="shown.face.units" @told="chances = $event" />
          <button v-if="shown.isMeasured" type="button" class="link-button" @click="choose(null, shown.squareUp)">Back to seams as they should be</button>
          <ul v-if="shown.tests.length > 0" class="tests">
            <li v-for="one in shown.tests" :key="one.id">
              <button type="button" class="link-button" @click="choose(one.takeUp, shown.squareUp)"><FractionText :text="one.takeUp" /></button> <span class="soft">{{ one.date }}, <FractionText :text="one.words" /> {{ one.notes }}</span>
            </li>
          </ul>
        </aside>
      </div>
      <p class="soft">Words: <template v-for="(key, i) in ['ruler', 'match', 'tip', 'take-up'] as const" :key="key"><template v-if="i > 0">, </template><TradeWord :of="key" /></template>.</p>
    </main>
    <main v-else class="waiting">
      <ProblemNote v-if="problem" :text="problem" @close="problem = null"><ElButton @click="load">Try again</ElButton></ProblemNote>
      <p v-else class="soft" role="status">Laying the joins out</p>
    </main>
  </div>
</template>

<style scoped>
main {
  padding: 12px 24px 24px;
}

header {
  display: flex;
  align-items: end;
  justify-content: space-between;
  padding-bottom: 12px;
}

.bench {
  display: grid;
  grid-template-columns: 196px minmax(0, 1fr) 276px;
  gap: 26px;
}

.list {
  max-height: calc(100vh - 110px);
  overflow-y: auto;
}

.list button {
  display: grid;
  width: 100%;
  min-height: 52px;
  padding: 4px 10px;
  border: 0;
  border-left: 4px solid transparent;
  background: none;
  text-align: left;
  cursor: pointer;
}

.list .soft {
  font-size: 15px;
}

.list button:hover {
  background: var(--thread-pale);
}

.list .chosen {
  border-left-color: var(--thread);
  background: var(--thread-pale);
}

aside {
  display: grid;
  gap: 10px;
  align-content: start;
}

.where {
  height: 150px;
}

aside label {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding-bottom: 6px;
}

@media (max-width: 900px) {
  .bench {
    grid-template-columns: 1fr;
  }

  .list {
    max-height: 220px;
  }
}
</style>
