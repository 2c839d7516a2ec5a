<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { PileChoice, PilesShown, PressStyle, StyleShown } from '@/api/types'
import TradeWord from '@/components/TradeWord.vue'
import { counted, styleWords } from '@/drawing/words'

/** The schools of pressing side by side, and what a second pile at the iron would gain. */
const props = defineProps<{ block: number; version: number; order: string; chosen: PressStyle }>()
const emit = defineEmits<{ choose: [style: PressStyle]; piles: [choice: PileChoice] }>()

const isOpen = ref(false)
const styles = shallowRef<StyleShown[] | null>(null)
const pressed = ref(0)
const piles = shallowRef<PilesShown | null>(null)

watch(
  [isOpen, () => props.block, () => props.order, () => props.version],
  async ([open, block, order, version], before) => {
    if (!open) return
    if (styles.value === null || block !== before[1] || order !== before[2]) {
      styles.value = null
      const answer = await api.styles(block).catch(() => null)
      styles.value = answer?.styles ?? null
      pressed.value = answer?.pressed ?? 0
    }
    const found = await api.piles(block).catch(() => null)
    if (props.block === block && props.version === version) piles.value = found
  },
)

const split = (add: string | null, drop: string | null) =>
  emit('piles', { twoPiles: [...(piles.value?.twoPiles ?? []).map((pile) => pile.class).filter((label) => label !== drop), ...(add === null ? [] : [add])] })
</script>

<template>
  <details class="comparison" @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
    <summary>Compare the schools</summary>
    <table v-if="styles">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">School</span></th>
          <th scope="col"><TradeWord of="stacked">stack</TradeWord></th>
          <th scope="col"><TradeWord of="layers">thickest</TradeWord></th>
          <th scope="col"><TradeWord of="folded">folded</TradeWord></th>
          <th scope="col"><TradeWord of="shadow">shadow</TradeWord></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in styles" :key="row.style" :class="{ chosen: row.style === chosen }" :data-style="row.style">
          <th scope="row"><button type="button" class="link-button" @click="emit('choose', row.style)">{{ styleWords[row.style] }}</button></th>
          <td>{{ row.figures.stacked }}</td>
          <td>{{ row.figures.thickest }}</td>
          <td>{{ row.figures.folded }}</td>
          <td>{{ Math.round(Number(row.figures.shadow)) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else class="soft" role="status">Pressing it in every way</p>
    <p v-if="styles" class="soft">The schools: <template v-for="(key, i) in ['nest', 'furl', 'lump', 'dark', 'open'] as const" :key="key"><template v-if="i > 0">, </template><TradeWord :of="key" /></template>.</p>
    <p v-if="styles && pressed > 0" class="soft">Each goes round the {{ counted(pressed, 'seam') }} pressed already.</p>
    <template v-if="styles">
      <h3>Two piles at the iron</h3>
      <p v-if="piles === null" class="soft" role="status">Sorting the piles</p>
      <template v-else>
        <p v-for="pile in piles.twoPiles" :key="pile.class" :data-two-piles="pile.class">{{ pile.text }} <button type="button" class="link-button" @click="split(null, pile.class)">Back to one pile</button></p>
        <p v-for="gain in piles.gains" :key="gain.class" :data-gain="gain.class">{{ gain.text }} <button type="button" class="link-button" @click="split(gain.class, null)">Use two piles</button></p>
        <p v-if="piles.gains.length + piles.twoPiles.length === 0" class="soft">One pile for each kind of unit is as good as two.</p>
        <template v-if="piles.parts.length > 0">
          <h3>Equal parts</h3>
          <p>{{ piles.parts.map((part) => `${part.count} of ${part.patches} patches (${part.label})`).join(', ') }}: {{ piles.equalParts === 'alike' ? 'pressed alike, as one pile.' : 'each pressed as it nests best.' }} <button type="button" class="link-button" @click="emit('piles', { equalParts: piles.equalParts === 'alike' ? 'apart' : 'alike' })">{{ piles.equalParts === 'alike' ? 'Press each apart' : 'Press them alike' }}</button></p>
        </template>
      </template>
    </template>
  </details>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
}

th,
td {
  padding: 0 2px;
  border-top: 1px solid var(--hair);
  font-weight: 400;
  text-align: right;
}

thead th {
  border: 0;
  color: var(--soft);
  font-size: 14px;
}

tbody th {
  text-align: left;
}

.chosen {
  background: var(--thread-pale);
  font-weight: 650;
}

h3 {
  padding-top: 12px;
  font-size: 16px;
}
</style>
