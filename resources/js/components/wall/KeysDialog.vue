<script setup lang="ts">
import { computed, ref } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import type { StationKey } from '@/composables/useStationKeys'

/** The keys of the wall, each with what it does. */
const props = defineProps<{ keys: StationKey[] }>()
defineExpose({ show: () => dialog.value?.showModal() })

const dialog = ref<HTMLDialogElement | null>(null)
const told = computed(() => {
  const names: Record<string, string> = { ArrowUp: 'Arrows', ' ': 'Space' }
  const seen = new Set<string>()
  return props.keys
    .filter((key) => !/^Arrow(Down|Left|Right)$/.test(key.key) && !seen.has(key.words) && seen.add(key.words))
    .map((key) => ({ name: [key.control && 'Ctrl', key.shift && 'Shift', names[key.key] ?? key.key.toUpperCase()].filter(Boolean).join(' + '), words: key.words }))
})
</script>

<template>
  <dialog ref="dialog" class="keys" aria-label="Keys of the wall">
    <h2>Keys</h2>
    <ul>
      <li v-for="key in told" :key="key.words"><kbd>{{ key.name }}</kbd><span>{{ key.words }}</span></li>
    </ul>
    <form method="dialog"><ElButton native-type="submit" type="primary">Close</ElButton></form>
  </dialog>
</template>

<style scoped>
.keys {
  max-width: 760px;
  padding: 24px;
  border: 1px solid var(--hair);
  border-radius: 6px;
  color: var(--ink);
}

.keys::backdrop {
  background: #20262b66;
}

ul {
  columns: 2;
  column-gap: 40px;
  padding: 12px 0 16px;
}

li {
  display: flex;
  align-items: start;
  gap: 12px;
  padding: 3px 0;
  break-inside: avoid;
}

kbd {
  flex: none;
  min-width: 104px;
  text-align: center;
}
</style>
