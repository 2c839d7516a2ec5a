<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { CuttingChoices, CuttingShown } from '@/api/types'
import CheckField from '@/components/controls/CheckField.vue'
import TextField from '@/components/controls/TextField.vue'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import CountField from '@/components/controls/CountField.vue'
import AtTheTable from '@/components/cutting/AtTheTable.vue'
import StripPicture from '@/components/cutting/StripPicture.vue'
import TemplatePicture from '@/components/cutting/TemplatePicture.vue'
import UnitCard from '@/components/cutting/UnitCard.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import TradeWord from '@/components/TradeWord.vue'
import StationHints from '@/components/StationHints.vue'
import StationRail from '@/components/StationRail.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { provideUnits } from '@/composables/useUnits'
import { useStations } from '@/composables/useStations'
import { asTyped } from '@/drawing/fractions'
import FractionText from '@/drawing/FractionText.vue'
import { counted } from '@/drawing/words'

const props = defineProps<{ block: number }>()

const shown = shallowRef<CuttingShown | null>(null)
provideUnits(() => shown.value?.face.units)
useScreenTitle(() => (shown.value === null ? null : `Cut and make, ${shown.value.block.name}`))
const problem = ref<string | null>(null)
const waiting = ref(0)
let last: Promise<void> = Promise.resolve()

watch(
  () => props.block,
  async (block) => {
    await told(async () => {
      shown.value = await api.cutting(block)
    })
  },
  { immediate: true },
)

const { stations } = useStations(() => props.block, () => shown.value?.block.version)
const fabrics = computed(() => new Map((shown.value?.face.fabrics ?? []).map((fabric) => [fabric.key, fabric])))
const done = computed(() => shown.value?.cuts.filter((cut) => cut.isDone).length ?? 0)

/** So many fabrics are all open; of more, one after the other. */
const FEW_FABRICS = 4
/** The house's, or one of this block alone. */
const rulers = computed(() => [{ value: 0, words: 'as in the house' }, ...(shown.value?.face.units === 'mm' ? [{ value: 1, words: 'to 1 mm' }, { value: 2, words: 'to 0.5 mm' }] : [{ value: 8, words: 'to 1/8 in' }, { value: 16, words: 'to 1/16 in' }])])
const choose = (choices: Partial<CuttingChoices>) => change((block, version) => api.chooseCutting(block, version, choices))
const tick = (name: string, isDone: boolean) => change((block, version) => api.tickCut(block, version, name, isDone))

/** One after the other, each over the version the one before it made. */
function change(ask: (block: number, version: number) => Promise<CuttingShown>) {
  waiting.value += 1
  last = last.then(async () => {
    const now = shown.value
    if (now !== null) {
      await told(async () => {
        shown.value = await ask(now.block.id, now.block.version)
      })
    }
    waiting.value -= 1
  })
  return last
}

async function told(work: () => Promise<void>) {
  problem.value = null
  try {
    await work()
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}

async function load() {
  await told(async () => {
    shown.value = await api.cutting(props.block)
  })
}
</script>

<template>
  <div class="station cut-screen">
    <StationRail :stations="stations" :block="block" :name="shown?.block.name" here="cut" />
    <main v-if="shown">
      <header>
        <div class="title">
          <h1>{{ shown.block.name }}</h1>
          <p class="soft">Cut and make · {{ done }} of {{ counted(shown.cuts.length, 'stack') }} cut</p>
        </div>
        <CountField :model-value="shown.choices.blocks" label="Blocks" :max="400" @update:model-value="choose({ blocks: $event })" />
        <ChoiceField :model-value="shown.choices.preference" label="What counts most" :choices="shown.preferences.map((one) => ({ value: one.preference, words: one.words }))" @update:model-value="choose({ preference: $event ?? '', ways: {} })" />
        <TextField :model-value="asTyped(shown.width, shown.face.units)" field="width" label="Fabric width" size="short" :after="shown.face.units" @done="choose({ width: $event })" />
        <ChoiceField :model-value="shown.choices.marks ?? 0" label="Ruler" :choices="rulers" @update:model-value="choose({ marks: $event === 0 ? null : $event })" />
        <p class="saved soft" role="status">{{ problem ? 'Not saved' : waiting > 0 ? 'Saving' : 'Saved' }}</p>
        <StationHints at="cut" />
      </header>
      <ProblemNote v-if="problem" :text="problem" @close="problem = null"><ElButton @click="load">Load it again</ElButton></ProblemNote>
      <div class="table" data-work>
        <section class="cuts" aria-label="Cutting list">
          <h2>Cut</h2>
          <p class="caution">Close the blade when you put it down; cut away from yourself, fingers behind the ruler's edge. Starch what gets bias edges before you cut it, and air the room.</p>
          <p v-if="shown.mixedUp.length > 0" class="warn">Nearly the same size, so keep them apart: <template v-for="(pair, i) in shown.mixedUp" :key="pair.join()"><template v-if="i > 0">, </template><b>{{ pair[0] }}</b> and <b>{{ pair[1] }}</b></template>.</p>
          <details v-for="(packed, i) in shown.fabric" :key="packed.fabric" class="of-fabric" :open="shown.fabric.length <= FEW_FABRICS || i === 0">
            <summary><h3><span class="cloth" :style="{ background: fabrics.get(packed.fabric)?.color }" />{{ fabrics.get(packed.fabric)?.name }} <span class="soft">buy <FractionText :text="packed.buy" /></span></h3></summary>
            <ul>
              <li v-for="cut in shown.cuts.filter((one) => one.fabric === packed.fabric)" :key="cut.name" :class="{ done: cut.isDone }">
                <CheckField class="stack" :model-value="cut.isDone" @update:model-value="tick(cut.name, $event)">
                  <span class="letter">{{ cut.letter }}</span>
                  <span><b>{{ cut.count }}</b> {{ counted(cut.count, cut.shape).replace(/^\d+ /, '') }} <b><FractionText :text="cut.size" /></b><template v-if="cut.then">, {{ cut.then }} <span class="soft">({{ cut.bias }})</span></template><template v-if="cut.mirrored > 0">, {{ cut.mirrored }} of them turned over</template> <span class="soft">for {{ cut.for.join(', ') }}<template v-if="cut.margin === 'larger'">; larger, to square up</template></span></span>
                </CheckField>
                <button type="button" class="link-button" :aria-label="`Cut stack ${cut.letter} ${cut.margin === 'larger' ? 'exact' : 'larger'}`" @click="choose({ stacks: { ...shown.choices.stacks, [cut.letter]: cut.margin === 'larger' ? 'exact' : 'larger' } })">{{ cut.margin === 'larger' ? 'exact' : 'larger' }}</button>
                <div v-if="cut.outline" class="template"><TemplatePicture :cut="cut" :color="fabrics.get(cut.fabric)?.color ?? '#fff'" /><p><FractionText :text="cut.how" /> <span class="soft">Right side up; the arrow lies along the weave.</span></p></div>
              </li>
            </ul>
            <StripPicture :packed="packed" :color="fabrics.get(packed.fabric)?.color ?? '#fff'" :name="fabrics.get(packed.fabric)?.name ?? ''" />
            <p class="soft strip-note">{{ counted(packed.strips.length, 'strip') }} across the width: <template v-for="(strip, k) in packed.strips" :key="k"><template v-if="k > 0">, </template><FractionText :text="strip.text" /></template> {{ shown.face.units }}. <template v-if="!packed.isProved">At least <FractionText :text="packed.bound" /> would be needed.</template></p>
          </details>
          <p v-for="one in shown.over" :key="one" class="spares"><FractionText :text="one" /></p>
          <AtTheTable :cutting="shown" @problem="problem = $event" />
        </section>
        <section class="units" aria-label="Units to make">
          <h2>Make</h2>
          <p class="caution">Iron: hot plate and steam; never leave it face down, and press up and down without sliding. Take pins out as the needle comes to them. Sew one unit first and measure it, then the rest.</p>
          <div class="cards">
            <UnitCard
              v-for="unit in shown.units"
              :key="unit.class"
              :unit="unit"
              :fabrics="shown.face.fabrics"
              :units="shown.face.units"
              @way="choose({ ways: { ...shown.choices.ways, [unit.class]: $event } })"
              @margin="choose({ margins: { ...shown.choices.margins, [unit.class]: $event } })"
              @build="choose({ builds: { ...shown.choices.builds, [unit.class]: $event } })"
              @done="tick(`unit ${unit.class}`, $event)"
            />
          </div>
          <p class="soft">Words: <TradeWord of="raw">finished and raw</TradeWord>, <TradeWord of="square-up">squaring up</TradeWord>. Whether units from squares are cut larger is in the settings.</p>
          <p v-if="shown.units.length === 0" class="soft">Only plain patches here: cut them and go on to the order of sewing.</p>
        </section>
      </div>
    </main>
    <main v-else class="waiting">
      <ProblemNote v-if="problem" :text="problem" @close="problem = null"><ElButton @click="load">Try again</ElButton></ProblemNote>
      <p v-else class="soft" role="status">Measuring what to cut</p>
    </main>
  </div>
</template>

<style scoped>
main {
  padding: 12px 24px 24px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 18px;
  padding-bottom: 12px;
}

header > .title {
  flex: 1 0 100%;
}

header > .choice-field {
  width: 190px;
}

.table {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: 32px;
}

.caution {
  padding: 4px 0 8px;
  font-size: 15px;
}

.of-fabric > summary {
  display: flex;
  align-items: center;
  padding: 0;
}

.of-fabric > summary::before {
  content: '▸';
  width: 20px;
  color: var(--soft);
}

.of-fabric[open] > summary::before {
  content: '▾';
}

.of-fabric > summary h3 {
  flex: 1;
  min-width: 0;
}

h3 {
  display: flex;
  align-items: center;
  gap: 8px;
  padding-top: 14px;
  font-size: 18px;
}

h3 .soft {
  margin-left: auto;
  font-weight: 400;
}

.cloth {
  flex: none;
  width: 24px;
  height: 24px;
  border: 1px solid var(--hair);
  border-radius: 4px;
}

.stack :deep(.el-checkbox__label) {
  display: grid;
  flex: 1;
  grid-template-columns: 34px 1fr;
  align-items: center;
  font-size: 18px;
  white-space: normal;
}

.cuts li {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  border-top: 1px solid var(--hair);
}

.cuts li > .link-button {
  min-width: 60px;
  min-height: 44px;
}

.template {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 14px;
  grid-column: 1 / -1;
  align-items: center;
  padding-left: 34px;
}

.cuts li.done span {
  color: var(--soft);
}

.letter {
  font-size: 22px;
  font-weight: 700;
}

.strip-note {
  font-size: 15px;
}

.spares {
  padding-top: 14px;
  font-size: 18px;
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(330px, 100%), 1fr));
  gap: 20px 28px;
}

@media (max-width: 900px) {
  .table {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 560px) {
  main {
    padding: 12px 16px 24px;
  }

  .template {
    grid-template-columns: minmax(0, 1fr);
    padding-left: 0;
  }
}
</style>
