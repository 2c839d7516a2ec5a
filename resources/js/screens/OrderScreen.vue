<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { Order, OrderPossible, OrderShown, OrdersShown } from '@/api/types'
import GrowthFilm from '@/components/GrowthFilm.vue'
import OwnOrderBoard from '@/components/OwnOrderBoard.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import StationHints from '@/components/StationHints.vue'
import StationRail from '@/components/StationRail.vue'
import TradeWord from '@/components/TradeWord.vue'
import StrandDiagram from '@/components/StrandDiagram.vue'
import { radioKeys } from '@/composables/radioKeys'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { provideUnits } from '@/composables/useUnits'
import { useStations } from '@/composables/useStations'
import BlockFace from '@/drawing/BlockFace.vue'
import FractionText from '@/drawing/FractionText.vue'
import { counted } from '@/drawing/words'

const props = defineProps<{ block: number }>()

const shown = shallowRef<OrdersShown | null>(null)
provideUnits(() => shown.value?.face.units)
useScreenTitle(() => (shown.value === null ? null : `Order of sewing, ${shown.value.block.name}`))
const problem = ref<string | null>(null)
const isSaving = ref(false)
const isGrowing = ref(false)
/** An order of one's own that was taken away just now. */
const dropped = shallowRef<{ name: string; sew: unknown } | null>(null)

watch(() => props.block, load, { immediate: true })

const { stations } = useStations(() => props.block, () => shown.value?.block.version)
const isPossible = (order: OrderShown): order is OrderPossible => 'figures' in order
const chosen = computed(() => shown.value?.orders.find((order) => order.order === shown.value?.chosen))
const parts = computed(() => (chosen.value && isPossible(chosen.value) ? chosen.value.parts : []))
const classes = computed(() => (chosen.value ? (isPossible(chosen.value) ? chosen.value.classes : chosen.value.upToThere) : []))

async function load() {
  await told(async () => {
    shown.value = await api.orders(props.block)
  })
}

async function choose(order: Order) {
  const now = shown.value
  if (now === null || isSaving.value || (order === now.chosen && now.isDecided)) return
  isSaving.value = true
  await told(async () => {
    const saved = await api.chooseOrder(now.block.id, now.block.version, order)
    shown.value = { ...now, chosen: saved.order, isDecided: true, block: { ...now.block, version: saved.version } }
  })
  isSaving.value = false
}

const possible = computed(() => (shown.value?.orders ?? []).filter(isPossible))
/** Orders that come out the same are shown once. */
const rows = computed(() => (shown.value?.orders ?? []).filter((order) => !isPossible(order) || order.sameAs === null || order.order === shown.value?.chosen))
const same = (order: OrderPossible) => possible.value.filter((other) => other.sameAs === order.words && other.order !== shown.value?.chosen).map((other) => other.words)
const isOwn = (order: OrderShown) => order.order.startsWith('own:')

async function saved(ask: (block: number, version: number) => Promise<{ order: Order; version: number }>) {
  const now = shown.value
  if (now === null || isSaving.value) return
  isSaving.value = true
  await told(async () => {
    await ask(now.block.id, now.block.version)
    shown.value = await api.orders(props.block)
  })
  isSaving.value = false
}

async function keep(name: string, sew: unknown) {
  await saved((block, version) => api.keepOrder(block, version, name, sew))
  if (problem.value === null) {
    isGrowing.value = false
    dropped.value = null
  }
}

async function drop(order: OrderPossible) {
  await saved((block, version) => api.dropOrder(block, version, order.words))
  dropped.value = { name: order.words, sew: order.sew }
}

async function told(work: () => Promise<void>) {
  problem.value = null
  try {
    await work()
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}

const facts = (order: OrderPossible) => [
  { key: 'matchPoints', value: `${order.figures.matchPoints}`, words: 'points to match' },
  { key: 'biasJoins', value: `${order.figures.biasJoins}`, words: 'on the bias' },
  { key: 'longestJoin', value: order.figures.longestJoin, words: 'longest join' },
  { key: 'joinsToLearn', value: `${order.figures.joinsToLearn ?? '…'}`, words: 'joins to learn' },
  { key: 'chainBatches', value: `${order.figures.chainBatches}`, words: 'to the machine' },
  { key: 'presses', value: `${order.figures.presses}`, words: 'to the iron' },
]
</script>

<template>
  <div class="station order-screen">
    <StationRail :stations="stations" :block="block" :name="shown?.block.name" here="order" />
    <main v-if="shown">
      <header>
        <h1>{{ shown.block.name }}</h1>
        <p class="soft">Choose the order of sewing. The pictures show what still stands apart after each trip to the machine.</p>
        <p v-if="!shown.isDecided && chosen" class="undecided" role="status">Nothing is chosen yet; until then it is sewn {{ chosen.words.toLowerCase() }}. <button type="button" class="link-button" :disabled="isSaving" @click="choose(shown.chosen)">{{ chosen.words }} is right</button></p>
        <p class="saved soft" role="status">{{ problem ? 'Not saved' : isSaving ? 'Saving' : 'Saved' }}</p>
        <StationHints at="order" />
      </header>
      <ProblemNote v-if="problem" :text="problem" @close="problem = null">
        <button type="button" class="again" @click="load">Load it again</button>
      </ProblemNote>
      <div class="orders" data-work role="radiogroup" aria-label="Order of sewing" @keydown="radioKeys">
        <div v-for="order in rows" :key="order.order">
          <button v-if="isPossible(order)" type="button" class="order" role="radio" :aria-checked="order.order === shown.chosen" :tabindex="order.order === shown.chosen ? 0 : -1" :class="{ chosen: order.order === shown.chosen }" :data-order="order.order" @click="choose(order.order)">
            <span class="name">{{ order.words }}<small v-for="words in same(order)" :key="words" class="soft">{{ words }} comes out the same</small></span>
            <StrandDiagram class="diagram" :face="shown.face" :order="order" :pixels="76" />
            <GrowthFilm class="growth" :face="shown.face" :order="order" :frames="5" :pixels="76" />
            <dl>
              <div v-for="fact in facts(order)" :key="fact.key" :data-fact="fact.key">
                <dt>{{ fact.words }}</dt>
                <dd><FractionText :text="fact.value" /></dd>
              </div>
            </dl>
          </button>
          <p v-if="isPossible(order) && isOwn(order)" class="own"><button type="button" class="link-button" :disabled="isSaving" @click="drop(order)">Take {{ order.words }} away</button></p>
          <div v-if="!isPossible(order)" class="order impossible" :data-order="order.order">
            <span class="name">{{ order.words }}</span>
            <BlockFace v-if="order.patchesInTheWay.length > 0" class="in-the-way" :face="shown.face" :patches="order.patchesInTheWay" label="The patches in the way" :pixels="76" />
            <p>{{ order.problem }}</p>
          </div>
        </div>
      </div>
      <p class="explained soft">What the figures say: <template v-for="(key, i) in ['match', 'bias', 'learn', 'trips'] as const" :key="key"><template v-if="i > 0">, </template><TradeWord :of="key" /></template>.</p>
      <p v-if="dropped" class="own" role="status">{{ dropped.name }} is taken away. <button type="button" class="link-button" @click="keep(dropped.name, dropped.sew)">Bring it back</button></p>
      <button v-if="!isGrowing" type="button" class="link-button" @click="isGrowing = true">Sew it in an order of your own</button>
      <OwnOrderBoard v-else :block="block" :face="shown.face" :others="possible.filter((order) => order.sameAs === null)" :is-busy="isSaving" @keep="keep" @close="isGrowing = false" />
      <details v-if="chosen && isPossible(chosen)" class="every-trip">
        <summary>See every trip to the machine, {{ chosen.words.toLowerCase() }}</summary>
        <GrowthFilm class="large" :face="shown.face" :order="chosen" :frames="chosen.figures.chainBatches + 1" :pixels="190" />
      </details>
      <section v-if="classes.length > 0" class="piles" aria-label="Units">
        <h2>Units to make</h2>
        <ul>
          <li v-for="kind in classes" :key="kind.label">
            <BlockFace class="unit" :face="shown.face" :patches="kind.patches" close-up :label="kind.tag ? `${kind.name}, ${kind.tag}` : kind.name" :pixels="48" />
            <span><b>{{ kind.count }}</b> {{ kind.name }}<span v-if="kind.twin" class="soft">, mirror twin of {{ kind.twin }}</span><span v-if="kind.lookAlikes.length > 0" class="alike">, looks like {{ kind.lookAlikes.join(', ') }} but is sewn otherwise</span><span v-if="kind.tag" class="soft"> ({{ kind.tag }})</span></span>
          </li>
          <li v-for="part in parts" :key="part.label">
            <BlockFace class="unit" :face="shown.face" :patches="part.patches" close-up :label="`${part.label}, equal parts`" :pixels="48" />
            <span><b>{{ part.count }}</b> equal parts <span class="soft">({{ part.label }})</span></span>
          </li>
        </ul>
      </section>
    </main>
    <main v-else class="waiting">
      <ProblemNote v-if="problem" :text="problem" @close="problem = null" />
      <p v-else class="soft" role="status">Taking the block apart in {{ counted(6, 'way') }}</p>
    </main>
  </div>
</template>

<style scoped>
main {
  padding: 16px 24px 24px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 18px;
  padding-bottom: 10px;
}

.saved {
  margin-left: auto;
}

.orders {
  display: grid;
}

.order {
  display: grid;
  grid-template-columns: 118px 92px 452px minmax(0, 1fr);
  align-items: center;
  gap: 12px;
  width: 100%;
  min-height: 112px;
  padding: 6px 12px;
  border: 2px solid transparent;
  border-top-color: var(--hair);
  background: none;
  text-align: left;
  cursor: pointer;
}

.order:not(.impossible):hover {
  background: #ecefeb;
}

.order.chosen {
  border: 2px solid var(--thread);
  border-radius: 8px;
  background: var(--thread-pale);
}

.order.impossible {
  grid-template-columns: 118px auto minmax(0, 1fr);
  color: var(--soft);
  cursor: default;
}

.in-the-way {
  width: 76px;
}

.name small {
  display: block;
  padding-top: 4px;
  font-size: 15px;
  font-weight: 400;
}

.own {
  padding: 0 12px;
}

.every-trip summary {
  min-height: 44px;
  color: var(--thread);
  line-height: 44px;
  cursor: pointer;
}

.large {
  flex-wrap: wrap;
  padding: 8px 0;
}

.name {
  font-size: 18px;
  font-weight: 650;
  line-height: 1.2;
}

dl {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 2px 14px;
}

dl div {
  display: flex;
  flex-flow: row-reverse;
  justify-content: flex-end;
  gap: 7px;
  align-items: baseline;
}

dt {
  color: var(--soft);
  font-size: 15px;
}

dd {
  min-width: 42px;
  font-weight: 650;
  font-size: 18px;
  text-align: right;
}

.piles {
  padding-top: 18px;
}

.piles ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(300px, 100%), 1fr));
  gap: 10px 24px;
  padding-top: 8px;
}

.piles li {
  display: grid;
  grid-template-columns: 56px 1fr;
  gap: 12px;
  align-items: center;
}

.unit {
  width: 56px;
  height: 48px;
}

.alike {
  color: var(--ochre);
}

.again {
  min-height: 44px;
}

@media (max-width: 900px) {
  .order {
    grid-template-columns: 150px 92px 1fr;
  }

  .order dl {
    grid-column: 1 / -1;
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}

@media (max-width: 760px) {
  main {
    padding: 12px 16px 24px;
  }

  .order {
    grid-template-columns: minmax(0, 1fr) 92px;
  }

  .order .growth {
    grid-column: 1 / -1;
    flex-wrap: wrap;
  }

  .order dl {
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  }

  .order.impossible {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .order.impossible p {
    grid-column: 1 / -1;
  }
}
</style>
