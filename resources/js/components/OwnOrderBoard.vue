<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import * as api from '@/api/client'
import type { FaceShown, GrowingShown, OrderFigures, OrderPossible } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import CheckField from '@/components/controls/CheckField.vue'
import FractionText from '@/drawing/FractionText.vue'
import { pointsText } from '@/drawing/geometry'

/** An order of one's own: pick the two parts to sew next on the picture of what still stands apart. */
const props = defineProps<{ block: number; face: FaceShown; others: OrderPossible[]; isBusy: boolean }>()
const emit = defineEmits<{ keep: [name: string, sew: unknown]; close: [] }>()

const past = shallowRef<GrowingShown[]>([])
const growing = shallowRef<GrowingShown | null>(null)
const chosen = ref<number | null>(null)
const at = ref(0)
const likes = ref(true)
const name = ref('My order')
const refusal = ref<string | null>(null)

onMounted(() => step({}))

async function step(asked: { do?: 'sew' | 'twos' | 'open'; a?: number; b?: number }) {
  refusal.value = null
  try {
    const before = growing.value
    const answer = await api.growOrder(props.block, { ...asked, ...(before === null ? {} : { parts: before.parts.map((part) => part.sew) }), likes: likes.value })
    if (before !== null) past.value = [...past.value, before]
    growing.value = answer
    at.value = Math.min(at.value, answer.parts.length - 1)
  } catch (error) {
    refusal.value = error instanceof Error ? error.message : String(error)
  }
  chosen.value = null
}

function pick(part: number) {
  at.value = part
  if (growing.value?.done) return
  if (chosen.value === null) chosen.value = part
  else if (chosen.value === part) chosen.value = null
  else void step({ do: 'sew', a: chosen.value, b: part })
}

function undo() {
  const before = past.value[past.value.length - 1]
  if (before === undefined) return
  growing.value = before
  past.value = past.value.slice(0, -1)
  chosen.value = null
  refusal.value = null
}

const colours = computed(() => new Map(props.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
const gap = computed(() => Math.max(props.face.width, props.face.height) / 90)
const opens = computed(() => (chosen.value === null ? false : (growing.value?.parts[chosen.value]?.opens ?? false)))

const facts: { key: keyof OrderFigures; words: string }[] = [
  { key: 'joins', words: 'seams' },
  { key: 'matchPoints', words: 'points to match' },
  { key: 'biasJoins', words: 'on the bias' },
  { key: 'longestJoin', words: 'longest join' },
  { key: 'chainBatches', words: 'to the machine' },
  { key: 'presses', words: 'to the iron' },
]

/** From part to part by the arrow keys: the nearest whose middle lies that way. */
function go(dx: number, dy: number) {
  const parts = growing.value?.parts ?? []
  const middle = (i: number) => {
    const points = parts[i]?.outline ?? []
    return [points.reduce((sum, p) => sum + p[0], 0) / points.length, points.reduce((sum, p) => sum + p[1], 0) / points.length] as const
  }
  const [x, y] = middle(at.value)
  let best: [number, number] | null = null
  parts.forEach((_, i) => {
    const [px, py] = middle(i)
    const [along, across] = [(px - x) * dx + (py - y) * dy, Math.abs((px - x) * dy) + Math.abs((py - y) * dx)]
    if (i !== at.value && along > 1e-6 && (best === null || along + 2 * across < best[1])) best = [i, along + 2 * across]
  })
  if (best !== null) at.value = best[0]
}

function onKey(event: KeyboardEvent) {
  const arrow = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] as [number, number] | undefined
  if (arrow) go(...arrow)
  else if (event.key === 'Enter' || event.key === ' ') pick(at.value)
  else if (event.key === '2') void step({ do: 'twos' })
  else if (event.key === 'Backspace' || (event.key === 'z' && (event.ctrlKey || event.metaKey))) undo()
  else if (event.key === 'Escape') chosen.value = null
  else return
  event.preventDefault()
}
</script>

<template>
  <section class="own-order" aria-labelledby="own-order-title">
    <header>
      <h2 id="own-order-title">An order of your own</h2>
      <button type="button" class="link-button" @click="emit('close')">Close</button>
    </header>
    <div v-if="growing" class="board">
      <svg class="apart" :viewBox="`${-gap} ${-gap} ${face.width + 2 * gap} ${face.height + 2 * gap}`" role="group" tabindex="0" :aria-label="`${growing.parts.length} parts stand apart. Arrow keys go from part to part, Enter picks one, 2 sews everything in twos, Backspace takes back`" @keydown="onKey">
        <g v-for="(part, i) in growing.parts" :key="i" class="part" :class="{ chosen: i === chosen, at: i === at }" :data-part="i" @click="pick(i)">
          <title>{{ typeof part.sew === 'string' ? part.sew : `${part.patches.length} patches` }}</title>
          <polygon v-for="id in part.patches" :key="id" :points="pointsText(face.patches[id]?.points ?? [])" :fill="colours.get(face.patches[id]?.fabric ?? '')" />
          <polygon class="edge" :points="pointsText(part.outline)" :stroke-width="gap * 1.6" />
        </g>
        <polygon v-for="i in [at, ...(chosen === null ? [] : [chosen])]" :key="`ring${i}`" class="ring" :class="{ chosen: i === chosen }" :points="pointsText(growing.parts[i]?.outline ?? [])" :stroke-width="gap * (i === chosen ? 1.6 : 0.7)" />
      </svg>
      <div class="beside">
        <p v-if="growing.done"><b>Whole.</b> Give it a name and keep it.</p>
        <p v-else-if="chosen === null">{{ growing.parts.length }} parts stand apart. Pick one, then the one to sew to it.</p>
        <p v-else>Now the part to sew to it.</p>
        <p v-if="refusal" class="refusal" role="alert">{{ refusal }}</p>
        <CheckField v-model="likes" class="likes">Likes are done along</CheckField>
        <div class="acts">
          <button type="button" class="act" :disabled="growing.done" @click="step({ do: 'twos' })">All in twos <kbd>2</kbd></button>
          <button type="button" class="act" :disabled="!opens" @click="step({ do: 'open', a: chosen ?? 0 })">Take it apart into patches</button>
          <button type="button" class="act" :disabled="past.length === 0" @click="undo">Take back <kbd>Backspace</kbd></button>
        </div>
        <form v-if="growing.done" class="keep" @submit.prevent="emit('keep', name, growing?.parts[0]?.sew)">
          <TextField v-model="name" label="Its name" required />
          <button type="submit" class="act main" :disabled="isBusy || name.trim() === ''">Keep it and sew so</button>
        </form>
        <table class="list-on-phone">
          <thead>
            <tr><th scope="col"><span class="visually-hidden">Figure</span></th><th scope="col">yours so far</th><th v-for="other in others" :key="other.order" scope="col">{{ other.words.toLowerCase() }}</th></tr>
          </thead>
          <tbody>
            <tr v-for="fact in facts" :key="fact.key" :data-figure="fact.key"><th scope="row">{{ fact.words }}</th><td data-of="yours"><b><FractionText :text="`${growing.figures[fact.key] ?? '…'}`" /></b></td><td v-for="other in others" :key="other.order" :data-of="other.words.toLowerCase()"><FractionText :text="`${other.figures[fact.key] ?? '…'}`" /></td></tr>
          </tbody>
        </table>
      </div>
    </div>
    <p v-else-if="refusal" class="refusal" role="alert">{{ refusal }}</p>
    <p v-else class="soft" role="status">Laying the units out</p>
  </section>
</template>

<style scoped>
.own-order {
  padding: 12px 0 18px;
  border-top: 2px solid var(--hair);
}

header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}

.board {
  display: grid;
  grid-template-columns: minmax(0, 420px) minmax(0, 1fr);
  gap: 24px;
}

.apart {
  width: 100%;
  max-height: 480px;
  background: var(--ground);
}

.part {
  cursor: pointer;
}

.edge,
.ring {
  fill: none;
  stroke: var(--ground);
  stroke-linejoin: miter;
}

.ring {
  pointer-events: none;
  stroke: var(--soft);
}

.ring.chosen {
  stroke: var(--thread);
}

.refusal {
  color: var(--brick);
}

.likes {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 6px 0;
}

.act {
  min-height: 44px;
  padding: 6px 14px;
  border: 1px solid var(--hair);
  border-radius: 8px;
  background: var(--paper);
  cursor: pointer;
}

.act:disabled {
  color: var(--soft);
  cursor: default;
}

.act.main {
  border-color: var(--thread);
  background: var(--thread);
  color: #fff;
}

.keep {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  padding: 8px 0;
}

.keep label {
  display: grid;
}

table {
  margin-top: 8px;
  border-collapse: collapse;
}

th,
td {
  padding: 3px 0 3px 14px;
  border-top: 1px solid var(--hair);
  font-size: 15px;
  text-align: right;
  vertical-align: bottom;
}

thead th {
  border: 0;
  color: var(--soft);
  font-weight: 400;
  line-height: 1.15;
}

th[scope='row'] {
  padding-left: 0;
  font-weight: 400;
  text-align: left;
}

@media (max-width: 900px) {
  .board {
    grid-template-columns: 1fr;
  }
}
</style>
