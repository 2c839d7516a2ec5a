<script setup lang="ts">
import { computed, ref } from 'vue'
import FractionText from '@/drawing/FractionText.vue'
import { nearSizes } from '@/drawing/fractions'

/** A size taken with two keys: width, then height, each from the ruler's marks round what it should be. */
const props = defineProps<{ size: [string, string]; units: 'in' | 'mm' }>()
const emit = defineEmits<{ measured: [width: string, height: string] }>()

const width = ref<string | null>(null)
const rows = computed(() => props.size.map((side) => nearSizes(side, props.units)))

function choose(side: number, value: string | undefined) {
  if (value === undefined) return
  if (side === 0) width.value = value
  else emit('measured', width.value ?? props.size[0], value)
}

/** The number keys choose in the row that is still open. */
function key(number: number) {
  const side = width.value === null ? 0 : 1
  choose(side, rows.value[side]?.[number - 1])
}

defineExpose({ key })
</script>

<template>
  <div class="measure-keys" role="group" aria-label="Measured size">
    <div v-for="(row, side) in rows" :key="side" class="row" :class="{ open: (width === null ? 0 : 1) === side }">
      <span class="name">{{ side === 0 ? 'Width' : 'Height' }}</span>
      <button v-for="(value, i) in row" :key="i" type="button" :class="{ exact: i === 3, chosen: side === 0 && width === value }" :aria-pressed="side === 0 && width === value" @click="choose(side, value)">
        <FractionText :text="value" /><kbd v-if="(width === null ? 0 : 1) === side" aria-hidden="true">{{ i + 1 }}</kbd>
      </button>
    </div>
  </div>
</template>

<style scoped>
.measure-keys {
  display: grid;
  gap: 10px;
  padding: 8px 0;
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.name {
  width: 92px;
  font-size: 22px;
}

button {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  min-width: 118px;
  min-height: 56px;
  border: 2px solid var(--hair);
  border-radius: 8px;
  background: var(--paper);
  color: var(--ink);
  font-size: 26px;
  cursor: pointer;
}

.exact {
  border-color: var(--thread);
}

.chosen {
  background: var(--thread);
  color: #fff;
}

kbd {
  font-size: 16px;
}
</style>
