<script setup lang="ts" generic="Value extends string | number">
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/select/style/css'

/** One of several, out of a list that opens; long lists can be searched. */
defineProps<{ label: string; hidesLabel?: boolean; choices: readonly { value: Value; words: string; disabled?: boolean }[]; disabled?: boolean; placeholder?: string }>()
const value = defineModel<Value | null>({ required: true })
const MANY = 8
</script>

<template>
  <div class="choice-field">
    <span v-if="!hidesLabel" class="name" aria-hidden="true">{{ label }}</span>
    <ElSelect v-model="value" :aria-label="label" :disabled="disabled" :placeholder="placeholder ?? 'Choose'" :filterable="choices.length > MANY" no-match-text="None is called so" :fit-input-width="false">
      <ElOption v-for="one in choices" :key="one.value" :value="one.value" :label="one.words" :disabled="one.disabled" />
    </ElSelect>
  </div>
</template>

<style scoped>
.choice-field {
  display: grid;
  min-width: 140px;
}
</style>
