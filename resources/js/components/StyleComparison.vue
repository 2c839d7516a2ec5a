<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { PressStyle, StyleShown } from '@/api/types'
import { styleWords } from '@/drawing/words'

/** The schools of pressing side by side, and what a second pile at the iron would gain. */
const props = defineProps<{ block: number; order: string; chosen: PressStyle }>()
const emit = defineEmits<{ choose: [style: PressStyle] }>()

const isOpen = ref(false)
const styles = shallowRef<StyleShown[] | null>(null)
const gains = shallowRef<{ class: string; text: string }[] | null>(null)

watch(
  [isOpen, () => props.block, () => props.order, () => props.chosen],
  async ([open, block, order, chosen], before) => {
    if (!open) return
    if (styles.value === null || block !== before[1] || order !== before[2]) {
      styles.value = null
      styles.value = await api.styles(block).catch(() => null)
    }
    gains.value = null
    const found = await api.pileGains(block).catch(() => null)
    if (props.block === block && props.chosen === chosen) gains.value = found
  },
)
</script>

<template>
  <details class="comparison" @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
    <summary>Compare the schools</summary>
    <table v-if="styles">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">School</span></th>
          <th scope="col">stack</th>
          <th scope="col">thickest</th>
          <th scope="col">folded</th>
          <th scope="col">shadow</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in styles" :key="row.style" :class="{ chosen: row.style === chosen }" :data-style="row.style">
          <th scope="row"><button type="button" @click="emit('choose', row.style)">{{ styleWords[row.style] }}</button></th>
          <td>{{ row.figures.stacked }}</td>
          <td>{{ row.figures.thickest }}</td>
          <td>{{ row.figures.folded }}</td>
          <td>{{ Math.round(Number(row.figures.shadow)) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else class="soft" role="status">Pressing it in every way</p>
    <template v-if="styles">
      <h3>Two piles at the iron</h3>
      <p v-if="gains === null" class="soft">Sorting the piles</p>
      <p v-else-if="gains.length === 0" class="soft">One pile a unit is as good as two.</p>
      <p v-for="gain in gains" v-else :key="gain.class">{{ gain.text }}</p>
    </template>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  padding: 10px 0;
  font-weight: 600;
  cursor: pointer;
}

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

tbody button {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--thread);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
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
