<script setup lang="ts">
import { computed, ref } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import { ElDialog } from 'element-plus/es/components/dialog/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/dialog/style/css'
import type { StationKey } from '@/composables/useStationKeys'

/** The keys of the wall, each with what it does. */
const props = defineProps<{ keys: StationKey[] }>()
defineExpose({ show: () => (isOpen.value = true) })

const isOpen = ref(false)
const told = computed(() => {
  const names: Record<string, string> = { ArrowUp: 'Arrows', ' ': 'Space' }
  const seen = new Set<string>()
  return props.keys
    .filter((key) => !/^Arrow(Down|Left|Right)$/.test(key.key) && !seen.has(key.words) && seen.add(key.words))
    .map((key) => ({ name: [key.control && 'Ctrl', key.shift && 'Shift', names[key.key] ?? key.key.toUpperCase()].filter(Boolean).join(' + '), words: key.words }))
})
</script>

<template>
  <ElDialog v-model="isOpen" class="keys" title="Keys of the wall" width="min(760px, 94vw)" align-center append-to-body>
    <ul>
      <li v-for="key in told" :key="key.words"><kbd class="always">{{ key.name }}</kbd><span>{{ key.words }}</span></li>
    </ul>
    <template #footer><ElButton type="primary" @click="isOpen = false">Close</ElButton></template>
  </ElDialog>
</template>

<style scoped>
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
