<script setup lang="ts">
import { ref } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import type { SeamTestGiven } from '@/api/types'

/** Strips sewn side by side: what one seam really takes. */
const props = defineProps<{ units: 'in' | 'mm'; isBusy: boolean }>()
const emit = defineEmits<{ tested: [test: SeamTestGiven] }>()

const test = ref<SeamTestGiven>({ strips: 3, width: props.units === 'mm' ? '40' : '1 1/2', measured: '', notes: '' })
</script>

<template>
  <form aria-label="Seam test" @submit.prevent="emit('tested', { ...test })">
    <h3>Seam test</h3>
    <p class="soft">Cut strips, sew them side by side as you always do, press, and measure across all of them.</p>
    <label>Strips <input v-model.number="test.strips" type="number" min="2" max="20" /></label>
    <label>Each cut <input v-model="test.width" /> {{ units }}</label>
    <label>Together <input v-model="test.measured" required /> {{ units }}</label>
    <label>Machine, thread <input v-model="test.notes" class="wide" maxlength="120" /></label>
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

input {
  width: 90px;
}

.wide {
  width: 100%;
}
</style>
