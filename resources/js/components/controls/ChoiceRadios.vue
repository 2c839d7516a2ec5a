<script setup lang="ts" generic="Value extends string | number | boolean">
import { ElRadio, ElRadioGroup } from 'element-plus/es/components/radio/index'
import 'element-plus/es/components/radio/style/css'

/** One of a few, all in sight; the arrow keys go from one to the next. */
defineProps<{ label: string; hidesLabel?: boolean; choices: readonly { value: Value; words: string }[]; disabled?: boolean }>()
const value = defineModel<Value>({ required: true })
</script>

<template>
  <div class="choice-radios">
    <span v-if="!hidesLabel" class="name" aria-hidden="true">{{ label }}</span>
    <ElRadioGroup v-model="value" :aria-label="label" :disabled="disabled">
      <ElRadio v-for="one in choices" :key="String(one.value)" :value="one.value"><slot :choice="one">{{ one.words }}</slot></ElRadio>
    </ElRadioGroup>
  </div>
</template>

<style scoped>
.choice-radios {
  display: grid;
  gap: 2px;
}

.name {
  font-weight: 600;
}

.choice-radios :deep(.el-radio-group) {
  display: grid;
  justify-items: start;
}

.choice-radios :deep(.el-radio) {
  --el-radio-input-width: 22px;
  --el-radio-input-height: 22px;
  --el-radio-input-border: 1.5px solid #8b949a;
  --el-radio-text-color: var(--ink);

  height: auto;
  min-height: 44px;
  margin: 0;
  white-space: normal;
}

.choice-radios :deep(.el-radio__label) {
  color: var(--ink);
  font-size: inherit;
  font-weight: 400;
  line-height: 1.3;
}
</style>
