<script setup lang="ts">
import { ref } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import type { SeamTestGiven } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import CountField from '@/components/controls/CountField.vue'

/** Strips sewn side by side: what one seam really takes. */
const props = defineProps<{ units: 'in' | 'mm'; isBusy: boolean }>()
const emit = defineEmits<{ tested: [test: SeamTestGiven] }>()

const test = ref<SeamTestGiven>({ strips: 3, width: props.units === 'mm' ? '40' : '1 1/2', measured: '', notes: '' })
</script>

<template>
  <form aria-label="Seam test" @submit.prevent="emit('tested', { ...test })">
    <h3>Seam test</h3>
    <p class="soft">Cut strips, sew them side by side as you always do, press, and measure across all of them.</p>
    <CountField v-model="test.strips" label="Strips" :min="2" :max="20" />
    <TextField v-model="test.width" field="width" label="Each cut" size="short" :after="units" />
    <TextField v-model="test.measured" field="measured" label="Together" size="short" required :after="units" />
    <TextField :model-value="test.notes ?? ''" label="Machine, thread" @update:model-value="test.notes = $event" />
    <ElButton native-type="submit" type="primary" :disabled="isBusy">Work it out</ElButton>
  </form>
</template>

<style scoped>
label {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding-bottom: 6px;
}

.wide {
  width: 100%;
}
</style>
