<script setup lang="ts">
import { ElCheckbox } from 'element-plus/es/components/checkbox/index'
import 'element-plus/es/components/checkbox/style/css'

defineProps<{ disabled?: boolean; label?: string }>()
const value = defineModel<boolean>({ required: true })
</script>

<template>
  <ElCheckbox v-model="value" class="check-field" :disabled="disabled" :aria-label="label"><slot /></ElCheckbox>
</template>

<style scoped>
.check-field {
  --el-checkbox-font-size: 16px;
  --el-checkbox-text-color: var(--ink);
  --el-checkbox-checked-text-color: var(--ink);
  --el-checkbox-input-width: 22px;
  --el-checkbox-input-height: 22px;
  --el-checkbox-input-border: 1.5px solid #8b949a;

  height: auto;
  min-height: 44px;
  margin: 0;
  white-space: normal;
}

.check-field :deep(.el-checkbox__label) {
  font-weight: 400;
  line-height: 1.3;
}

.check-field :deep(.el-checkbox__inner::after) {
  width: 6px;
  height: 12px;
  border-width: 2.4px;
}
</style>
