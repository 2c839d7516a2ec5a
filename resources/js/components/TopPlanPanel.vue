<script setup lang="ts">
import { computed, onUnmounted, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import { ElInputNumber } from 'element-plus/es/components/input-number/index'
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/input-number/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import * as api from '@/api/client'
import type { JoinShown, PlanningShown, TopLensShown, TopPileShown, TopPlanShown, TopShown } from '@/api/types'
import PlanningNote from '@/components/PlanningNote.vue'
import BlockBack from '@/drawing/BlockBack.vue'
import CrossingLens from '@/drawing/CrossingLens.vue'

/** Which way the outer seams of a top's blocks are pressed, pile by pile; what may be held and what it would be otherwise. */
const props = defineProps<{ top: TopShown; plan: TopPlanShown | null; search: PlanningShown; lens: TopLensShown | null }>()
const emit = defineEmits<{ look: []; stop: []; on: []; lay: []; hold: [asked: api.TopHoldAsked]; change: [what: Record<string, unknown>]; problem: [string] }>()

/** Milliseconds between two looks at a plan that is being worked out. */
const AGAIN = 1200
let timer: ReturnType<typeof setTimeout> | undefined

const fields = computed(() => props.top.fields)
const isTurned = computed(() => props.plan?.places.some((one) => one.turned !== 0) ?? false)
const holdsOf = (pile: TopPileShown) => props.top.holds.piles.find((one) => one.pile === pile.name)?.seams ?? []
const joinsOf = (pile: TopPileShown): JoinShown[] => pile.joins.map((join) => ({ ...join, pile: [join.id], locked: holdsOf(pile).includes(pile.places[join.id] ?? ''), ruled: false, isPressed: false }))

/** What the plan would be otherwise, each in a sentence. */
const otherwise = shallowRef<{ name: string; words: string; piles?: Record<string, number> }[]>([])

async function compare(name: string, how: { fixed: true } | { more: string }) {
  try {
    const answer = await api.planOfTop(props.top.id, how)
    if (answer.state === 'working' && answer.plan === null) {
      timer = setTimeout(() => compare(name, how), AGAIN)
      return
    }
    const crossings = answer.plan?.sentences.find((sentence) => sentence.includes('crossing')) ?? ''
    const now = Object.fromEntries(fields.value.piles.map((one) => [one.block, one.block === ('more' in how ? how.more : '') ? one.piles + 1 : one.piles]))
    otherwise.value = [...otherwise.value.filter((one) => one.name !== name), { name, words: `${name}: ${crossings.charAt(0).toLowerCase()}${crossings.slice(1)}`, ...('more' in how ? { piles: now } : {}) }]
  } catch (error) {
    emit('problem', error instanceof Error ? error.message : String(error))
  }
}

onUnmounted(() => clearTimeout(timer))
watch(
  () => props.top,
  () => {
    otherwise.value = []
    clearTimeout(timer)
  },
)
</script>

<template>
  <section aria-labelledby="plan-title">
    <h2 id="plan-title">Which way are the outer seams pressed?</h2>
    <template v-if="plan">
      <figure v-if="lens?.junction" class="lens">
        <CrossingLens :junction="lens.junction" :flaps="lens.flaps" :width="lens.width" :inches-per-unit="lens.units === 'mm' ? 1 / 25.4 : 1" />
        <figcaption>{{ lens.junction.patches }} patches meet, {{ lens.junction.peak }} layers at most</figcaption>
      </figure>
      <p v-for="sentence in plan.sentences" :key="sentence" role="status">{{ sentence }}</p>
      <figure v-for="pile in plan.made" :key="`${pile.block} ${pile.mirrored} ${pile.pile}`" class="pile">
        <figcaption>
          <b>{{ pile.count }} of {{ pile.block }}{{ pile.mirrored ? ', its mirror image' : '' }}{{ (fields.piles.find((one) => one.block === pile.block)?.piles ?? 1) > 1 ? `, pile ${pile.pile}` : '' }}</b>, from the back:
          <span v-for="row in pile.rows" :key="row.title">{{ row.title }} {{ row.way }}. </span>
        </figcaption>
        <BlockBack :name="pile.block" :face="pile.face" :flaps="pile.flaps" :joins="joinsOf(pile)" :crossings="[]" :highlighted="pile.joins.filter((join) => !join.isOfUnit).map((join) => join.id)" :pixels="300" @flip="emit('hold', { what: 'seam-of-pile', pile: pile.name, join: $event })" @select="emit('hold', { what: 'seam-of-pile', pile: pile.name, join: $event })" />
        <p class="soft">Touch a seam to hold it the other way; again to let it free.</p>
        <div class="deeds">
          <ElButton v-if="holdsOf(pile).length === 0" @click="emit('hold', { what: 'pile', pile: pile.name, hold: true })">Hold it pressed so</ElButton>
          <ElButton v-else @click="emit('hold', { what: 'pile', pile: pile.name, hold: false })">Let {{ holdsOf(pile).length === 1 ? 'the held seam' : `the ${holdsOf(pile).length} held seams` }} free</ElButton>
        </div>
      </figure>
      <div class="deeds">
        <ElButton v-if="isTurned" @click="emit('lay')">Lay them so</ElButton>
        <button v-if="isTurned" type="button" class="link-button" @click="compare('If nothing is turned', { fixed: true })">What if nothing is turned?</button>
        <button v-for="one in fields.piles.filter((block) => block.piles < 4)" :key="one.block" type="button" class="link-button" @click="compare(`With ${one.piles + 1} piles of ${one.block}`, { more: one.block })">One pile more of {{ one.block }}?</button>
      </div>
      <p v-for="one in otherwise" :key="one.name" role="status">
        {{ one.words }}
        <button v-if="one.piles" type="button" class="link-button" @click="emit('change', { piles: one.piles })">Press so</button>
      </p>
    </template>
    <ElButton v-else-if="search.state === 'idle'" type="primary" @click="emit('look')">Plan the top</ElButton>
    <PlanningNote v-if="search.state !== 'idle' && search.state !== 'proved'" :search="search" :has-plan="plan !== null" @stop="emit('stop')" @on="emit('on')" />
    <label class="stack">Blocks may be turned
      <ElSelect :model-value="fields.turns" aria-label="Blocks may be turned" @update:model-value="emit('change', { turns: $event })">
        <ElOption value="fixed" label="not at all" />
        <ElOption value="same-face" label="where nobody sees it" />
        <ElOption value="any" label="wherever it helps, the face too" />
      </ElSelect>
    </label>
    <label v-for="one in fields.piles" :key="one.block" class="line">Piles of {{ one.block }}
      <ElInputNumber :model-value="one.piles" :min="1" :max="4" :aria-label="`Piles of ${one.block}`" @change="emit('change', { piles: Object.fromEntries(fields.piles.map((all) => [all.block, all.block === one.block ? ($event ?? 1) : all.piles])) })" />
    </label>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  padding-bottom: 22px;
}

section > * {
  min-width: 0;
}

h2 {
  padding-bottom: 4px;
  font-size: 19px;
}

.lens {
  display: grid;
  gap: 4px;
  max-width: 220px;
  margin: 0;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 170px;
  align-items: center;
  gap: 10px;
}

.stack {
  display: grid;
  gap: 4px;
}

.pile {
  margin: 0;
}

.pile :deep(svg) {
  width: 100%;
  max-height: 320px;
}
</style>
