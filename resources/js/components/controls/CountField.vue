<script setup lang="ts">
import { ElInputNumber } from 'element-plus/es/components/input-number/index'
import 'element-plus/es/components/input-number/style/css'

/** A whole number, with a step down and a step up. */
withDefaults(defineProps<{ label: string; hidesLabel?: boolean; min?: number; max: number; disabled?: boolean }>(), { min: 1 })
const value = defineModel<number>({ required: true })
</script>

<template>
  <div class="count-field">
    <span v-if="!hidesLabel" class="name" aria-hidden="true">{{ label }}</span>
    <ElInputNumber :model-value="value" :aria-label="label" :min="min" :max="max" :step="1" step-strictly :disabled="disabled" @update:model-value="value = $event ?? min" />
  </div>
</template>

<style scoped>
.count-field {
  display: grid;
}

.count-field :deep(.el-input-number) {
  width: calc(132px * var(--type, 1));
  line-height: 42px;
}
</style>
