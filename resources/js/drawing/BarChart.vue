<script setup lang="ts">
import { computed } from 'vue'

/** Amounts side by side, each with its name and its amount in words: bars are stitches' length, never the only sign. */
const props = defineProps<{ rows: { name: string; amount: number; words: string }[]; label: string }>()

const most = computed(() => Math.max(1, ...props.rows.map((row) => row.amount)))
</script>

<template>
  <table class="bars" :aria-label="label">
    <tbody>
      <tr v-for="row in rows" :key="row.name">
        <th scope="row">{{ row.name }}</th>
        <td class="bar" aria-hidden="true"><span :style="{ width: `${(100 * row.amount) / most}%` }" /></td>
        <td class="words">{{ row.words }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.bars {
  width: 100%;
  border-collapse: collapse;
}

th {
  padding: 6px 14px 6px 0;
  font-weight: 400;
  text-align: left;
  white-space: nowrap;
}

.bar {
  width: 100%;
}

.bar span {
  display: block;
  height: 5px;
  background: repeating-linear-gradient(90deg, var(--thread) 0 10px, transparent 10px 16px);
}

.words {
  padding-left: 14px;
  text-align: right;
  white-space: nowrap;
}
</style>
