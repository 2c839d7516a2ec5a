<script setup lang="ts">
import { ElAlert } from 'element-plus/es/components/alert/index'
import 'element-plus/es/components/alert/style/css'
import { isBesideItsField } from '@/composables/useRefusal'

/**
 * What went wrong, unless it stands beside the field it is about. Closed by a button: the cross of Element Plus's own
 * alert is out of the keyboard's reach.
 */
defineProps<{ text: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <ElAlert v-if="!isBesideItsField(text)" class="problem-note" type="error" :closable="false">
    <span class="words">{{ text }}</span>
    <slot />
    <button type="button" @click="emit('close')">Close</button>
  </ElAlert>
</template>

<style scoped>
.problem-note {
  --el-alert-padding: 8px 8px 8px 16px;
  --el-alert-bg-color: var(--paper);

  width: auto;
  border: 2px solid var(--brick);
  border-radius: 8px;
  background: var(--paper);
  color: var(--ink);
}

.problem-note :deep(.el-alert__content) {
  flex: 1;
  padding: 0;
}

.problem-note :deep(.el-alert__description) {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  margin: 0;
  color: var(--ink);
  font-size: 17px;
}

.words {
  flex: 1 1 240px;
}

.problem-note button:not(.el-button) {
  min-width: 72px;
  min-height: 44px;
  border: 0;
  background: none;
  font-weight: 600;
  text-decoration: underline;
  cursor: pointer;
}
</style>
