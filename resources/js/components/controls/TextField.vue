<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { ElInput } from 'element-plus/es/components/input/index'
import 'element-plus/es/components/input/style/css'
import { useRefusal } from '@/composables/useRefusal'

/** A line of text; it is told when it is finished, by Enter or by leaving it, and only where it changed. */
const props = withDefaults(defineProps<{ label?: string; /** As the server names it where it refuses what is typed. */ field?: string; hidesLabel?: boolean; placeholder?: string; maxlength?: number; error?: string; after?: string; required?: boolean; disabled?: boolean; size?: 'wide' | 'short' }>(), {
  label: '',
  field: '',
  placeholder: '',
  maxlength: 120,
  error: '',
  after: '',
  size: 'wide',
})
const value = defineModel<string>({ required: true })
const emit = defineEmits<{ done: [value: string] }>()

const refusal = useRefusal(() => props.field)
const wrong = computed(() => props.error || refusal.value)
const typed = ref(value.value)
watch(value, (now) => (typed.value = now))
function finish() {
  if (typed.value !== value.value) value.value = typed.value
  emit('done', typed.value)
}
/** Where several fields are sent together, what is typed counts at once. */
function type(now: string) {
  typed.value = now
  value.value = now
}
</script>

<template>
  <label class="text-field" :class="[size, { wrong: wrong !== '' }]">
    <span v-if="label && !hidesLabel" class="name">{{ label }}</span>
    <span class="line"><ElInput :model-value="typed" :aria-label="hidesLabel ? label : undefined" :placeholder="placeholder" :maxlength="maxlength" :required="required" :disabled="disabled" :aria-invalid="wrong !== '' || undefined" @update:model-value="type" @change="finish" /><span v-if="after" class="soft">{{ after }}</span></span>
    <span v-if="wrong" class="error" role="alert">{{ wrong }}</span>
  </label>
</template>

<style scoped>
.text-field {
  display: grid;
}

.line {
  display: flex;
  align-items: center;
  gap: 8px;
}

.short .line :deep(.el-input) {
  width: calc(92px * var(--type, 1));
}

.wrong :deep(.el-input__wrapper) {
  box-shadow: 0 0 0 2px var(--brick) inset;
}

.error {
  max-width: 34ch;
  color: var(--brick);
  font-size: 15px;
}
</style>
