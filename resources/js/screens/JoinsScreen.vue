<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import { changedInto } from '@/api/changes'
import * as api from '@/api/client'
import type { JoinsShown, SpreadShown } from '@/api/types'
import ProblemNote from '@/components/ProblemNote.vue'
import StationRail from '@/components/StationRail.vue'
import { useRail, useStations } from '@/composables/useStations'
import BlockFace from '@/drawing/BlockFace.vue'
import FractionText from '@/drawing/FractionText.vue'
import SeamRuler from '@/drawing/SeamRuler.vue'
import { counted } from '@/drawing/words'

const props = defineProps<{ block: number }>()

const shown = shallowRef<JoinsShown | null>(null)
const chosen = ref<number | null>(null)
const problem = ref<string | null>(null)
const isBusy = ref(false)
const test = ref({ strips: 3, width: '1 1/2', measured: '', notes: '' })

watch(
  () => props.block,
  () => load(),
  { immediate: true },
)

const stations = useStations(useRail(() => props.block).rail)
const ranked = computed(() => (shown.value?.joins ?? []).filter((one) => one.isFirst).sort((a, b) => b.risk - a.risk || a.id - b.id))
const join = computed(() => ranked.value.find((one) => one.id === chosen.value) ?? ranked.value[0] ?? null)
const matching = computed(() => join.value?.marks.filter((mark) => mark.kind === 'match').length ?? 0)
const upWords = computed(() => {
  const now = join.value
  if (now === null || now.up === 'either') return 'Either part may lie on top.'
  return `${now.up === 'left' ? now.leftName : now.rightName} on top: more tips and seams to steer by.`
})
const biasOf = (part: string) => `The edge of ${part} is bias: pin it, and let the feed take it without pulling.`
const biasWords = (one: JoinsShown['joins'][number]) => ({ none: '', left: biasOf(one.leftName), right: biasOf(one.rightName), both: 'Both edges are bias: handle them little, pin, do not pull.' })[one.bias]

async function load() {
  await told(async () => {
    shown.value = await api.joins(props.block)
    if (shown.value.face.units !== 'mm') return
    test.value.width = '40'
    scatter.value = { sewing: '0.4', cutting: '0.4', folding: '0.2', tolerance: '3' }
  })
}

const choose = (takeUp: string | null, squareUp: JoinsShown['squareUp'], limits: { leave?: string; ease?: string } = {}) =>
  told(async () => {
    const now = shown.value
    if (now !== null) shown.value = await api.chooseSeams(now.block.id, now.block.version, { ...(takeUp === null ? {} : { takeUp }), squareUp, ...limits })
  })

const size = ref<[string, string]>(['', ''])
watch(join, (now) => (size.value = now?.measured ? [...now.measured] : ['', '']), { immediate: true })

const measured = (isForgotten: boolean) =>
  told(async () => {
    const [now, part] = [shown.value, join.value]
    if (now !== null && part !== null) {
      const { changed, ...heading } = await api.measurePart(now.block.id, now.block.version, part.id, isForgotten ? null : size.value)
      shown.value = { ...changedInto(now, changed), ...heading }
    }
  })

const scatter = ref({ sewing: '1/64', cutting: '1/64', folding: '1/128', tolerance: '1/8' })
const chance = shallowRef<SpreadShown | null>(null)
const matches = (one: JoinsShown['joins'][number]) => one.marks.filter((mark) => mark.kind === 'match').length
const percent = (share: number) => `${Math.round(share * 1000) / 10} %`

const askSpread = () =>
  told(async () => {
    chance.value = await api.spread(props.block, scatter.value)
  })

watch(() => shown.value?.block.version, () => (chance.value = null))

const tested = () =>
  told(async () => {
    const now = shown.value
    if (now !== null) shown.value = await api.testSeams(now.block.id, now.block.version, { ...test.value })
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
    <StationRail :stations="stations" :block="block" here="joins" />
    <main v-if="shown">
      <header>
        <div>
          <h1>{{ shown.block.name }}</h1>
          <p class="soft">{{ counted(shown.joins.length, 'join') }}, those that want most care first</p>
        </div>
        <p class="saved soft" role="status">{{ problem ? 'Not saved' : isBusy ? 'Saving' : 'Saved' }}</p>
      </header>
      <ProblemNote v-if="problem" :text="problem" @close="problem = null"><ElButton @click="load">Load it again</ElButton></ProblemNote>
      <div class="bench">
        <ol class="list" aria-label="Joins">
          <li v-for="one in ranked" :key="one.id">
            <button type="button" :aria-current="one.id === join?.id" :class="{ chosen: one.id === join?.id }" :data-join="one.id" @click="chosen = one.id">
              <span>{{ one.title }}<span v-if="one.times > 1" class="soft">, {{ one.times }} times</span></span>
              <span class="soft">{{ matches(one) || 'nothing' }} to match<template v-if="chance && chance.joins[one.id] !== undefined">, {{ percent(chance.joins[one.id] ?? 0) }}</template></span>
            </button>
          </li>
        </ol>
        <section v-if="join" class="sheet" :aria-label="join.title">
          <h2>{{ join.title }} <span class="soft"><FractionText :text="join.finished" /> {{ shown.face.units }} finished</span></h2>
          <SeamRuler :join="join" :fabrics="shown.face.fabrics" :units="shown.face.units" />
          <p>{{ upWords }} {{ biasWords(join) }}</p>
          <p v-for="note in join.notes" :key="note">{{ note }}</p>
          <p v-if="join.marks.length > matching && matching > 0" class="soft">Match {{ counted(matching, 'place') }}; the rest lies on plain cloth and does no harm.</p>
          <p v-if="join.ends_differ !== '0'" class="warn">The edges differ by <FractionText :text="join.ends_differ" /> {{ shown.face.units }} from corner to corner: pin the corners of both ends on each other and ease between.</p>
          <table v-if="join.marks.length > 0">
            <thead><tr><th scope="col">from the {{ join.ends[0].name }}, raw</th><th scope="col">{{ join.leftName }}</th><th scope="col">{{ join.rightName }}</th><th scope="col">what to do</th></tr></thead>
            <tbody>
              <tr v-for="(mark, i) in join.marks" :key="i" :data-verdict="mark.verdict ?? undefined">
                <td><FractionText :text="mark.from_edge[0]" /><template v-if="mark.from_edge[1] !== mark.from_edge[0]">, <FractionText :text="mark.from_edge[1]" /></template></td>
                <td>{{ mark.left }}</td>
                <td>{{ mark.right }}</td>
                <td>{{ mark.do }} {{ mark.feed }}<b v-if="mark.verdict === 'ease'"> Misses by <FractionText :text="mark.miss ?? ''" />: ease it.</b><b v-else-if="mark.verdict === 'unpick'"> Misses by <FractionText :text="mark.miss ?? ''" />: unpick a seam before it, or make its unit again.</b></td>
              </tr>
            </tbody>
          </table>
          <p v-else>Nothing to meet here but the two ends.</p>
          <form class="measure" :aria-label="`What ${join.title} made`" @submit.prevent="measured(false)">
            What it made should measure <FractionText :text="join.meant.join(' x ')" /> {{ shown.face.units }} raw; it measures
            <input v-model="size[0]" aria-label="Measured width" /> x <input v-model="size[1]" aria-label="Measured height" />
            <button type="submit" class="ask">Keep</button>
            <button v-if="join.measured" type="button" class="link-button" @click="measured(true)">Forget it</button>
          </form>
          <p class="caution">Take each pin out as the needle comes to it; slow down by hand over a lump.</p>
        </section>
        <aside>
          <BlockFace v-if="join" :face="shown.face" :patches="join.patches" :label="`Where ${join.title} lies`" :pixels="220" class="where" />
          <h2>Your seams</h2>
          <p>One seam takes <b><FractionText :text="shown.takeUp" /></b> {{ shown.face.units }}<template v-if="!shown.isMeasured">, as it should</template>.</p>
          <p class="effect">{{ shown.effect }}</p>
          <p v-if="shown.remedy" class="warn">{{ shown.remedy }}</p>
          <p v-if="shown.edgeTips > 0" class="soft">{{ counted(shown.edgeTips, 'tip ends', 'tips end') }} one allowance inside the raw edge of the block. Right so: the next seam is there.</p>
          <p v-if="shown.advice" class="warn" role="status">{{ shown.advice }}</p>
          <label>Squared up before joining
            <select :value="shown.squareUp" @change="choose(shown.isMeasured ? shown.takeUp : null, ($event.target as HTMLSelectElement).value as 'units' | 'none')"><option value="units">every unit</option><option value="none">nothing</option></select>
          </label>
          <label>Left alone up to <input :value="shown.leave" @change="choose(shown.isMeasured ? shown.takeUp : null, shown.squareUp, { leave: ($event.target as HTMLInputElement).value, ease: shown.ease })" /> {{ shown.face.units }}</label>
          <label>Eased up to <input :value="shown.ease" @change="choose(shown.isMeasured ? shown.takeUp : null, shown.squareUp, { leave: shown.leave, ease: ($event.target as HTMLInputElement).value })" /> {{ shown.face.units }}</label>
          <form aria-label="Seam test" @submit.prevent="tested">
            <h3>Seam test</h3>
            <p class="soft">Cut strips, sew them side by side as you always do, press, and measure across all of them.</p>
            <label>Strips <input v-model.number="test.strips" type="number" min="2" max="20" /></label>
            <label>Each cut <input v-model="test.width" /> {{ shown.face.units }}</label>
            <label>Together <input v-model="test.measured" required /> {{ shown.face.units }}</label>
            <label>Machine, thread <input v-model="test.notes" class="wide" maxlength="120" /></label>
            <ElButton native-type="submit" type="primary" :disabled="isBusy">Work it out</ElButton>
          </form>
          <form aria-label="How sure is it" @submit.prevent="askSpread">
            <h3>How sure is it?</h3>
            <label>Sewing off by <input v-model="scatter.sewing" /> {{ shown.face.units }}</label>
            <label>Cutting off by <input v-model="scatter.cutting" /> {{ shown.face.units }}</label>
            <label>Fold, where pressed to a side <input v-model="scatter.folding" /> {{ shown.face.units }}</label>
            <label>May be eased <input v-model="scatter.tolerance" /> {{ shown.face.units }}</label>
            <ElButton native-type="submit" :disabled="isBusy">Try it 4000 times</ElButton>
            <template v-if="chance">
              <p v-if="chance.tooMany">More than {{ chance.tooMany }} joins take too long to try.</p>
              <template v-else>
                <p class="effect"><b>{{ percent(chance.block) }}</b> that the whole block comes together, give or take {{ percent(chance.error) }}.</p>
                <p v-for="one in chance.better.slice(0, 3)" :key="one.words">{{ one.words }}: {{ percent(one.chance) }}.</p>
              </template>
            </template>
          </form>
          <button v-if="shown.isMeasured" type="button" class="link-button" @click="choose(null, shown.squareUp)">Back to seams as they should be</button>
          <ul v-if="shown.tests.length > 0" class="tests">
            <li v-for="one in shown.tests" :key="one.id">
              <button type="button" class="link-button" @click="choose(one.takeUp, shown.squareUp)"><FractionText :text="one.takeUp" /></button> <span class="soft">{{ one.date }}, <FractionText :text="one.words" /> {{ one.notes }}</span>
            </li>
          </ul>
        </aside>
      </div>
      <table class="print-only" aria-hidden="true">
        <caption>{{ shown.block.name }}: joins, those that want most care first</caption>
        <tbody>
          <tr v-for="one in ranked" :key="one.id">
            <th scope="row">{{ one.title }}<template v-if="one.times > 1">, {{ one.times }} times</template></th>
            <td><FractionText :text="one.raw[0]" /></td>
            <td><template v-for="(mark, i) in one.marks" :key="i"><template v-if="i > 0">; </template><FractionText :text="mark.from_edge[0]" /> {{ mark.nest ?? mark.kind }}</template></td>
          </tr>
        </tbody>
      </table>
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

.sheet {
  display: grid;
  gap: 10px;
  align-content: start;
}

h2 .soft {
  font-size: 16px;
  font-weight: 400;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 8px 12px 8px 0;
  border-top: 1px solid var(--hair);
  text-align: left;
  vertical-align: top;
}

th {
  border: 0;
  color: var(--soft);
  font-size: 15px;
  font-weight: 400;
}

td:first-child {
  font-size: 20px;
  font-weight: 650;
  white-space: nowrap;
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

aside label > input {
  width: 80px;
}

form input {
  width: 90px;
}

form .wide {
  width: 100%;
}

.measure {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}

.measure input {
  width: 80px;
}

.print-only {
  display: none;
}

@media print {
  .bench,
  header,
  .joins-screen > :deep(nav) {
    display: none;
  }

  .print-only {
    display: table;
    font-size: 11px;
  }

  .print-only th,
  .print-only td {
    padding: 1px 8px 1px 0;
    font-size: 11px;
  }
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
