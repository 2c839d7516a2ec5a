<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { SpreadShown } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import { percent } from '@/drawing/words'

/** How sure it is that everything meets, when nobody sews to a hair. */
const props = defineProps<{ block: number; version: number; units: 'in' | 'mm' }>()
/** By the join's number, for every join that was tried. */
const emit = defineEmits<{ told: [chances: Record<string, number>] }>()

const scatter = ref(props.units === 'mm' ? { sewing: '0.4', cutting: '0.4', folding: '0.2', tolerance: '3' } : { sewing: '1/64', cutting: '1/64', folding: '1/128', tolerance: '1/8' })
const chance = shallowRef<SpreadShown | null>(null)
const problem = ref('')
const isBusy = ref(false)

watch(() => props.version, () => show(null))

function show(answer: SpreadShown | null) {
  chance.value = answer
  emit('told', answer !== null && 'joins' in answer ? answer.joins : {})
}

async function ask() {
  problem.value = ''
  isBusy.value = true
  try {
    show(await api.spread(props.block, scatter.value))
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <form aria-label="How sure is it" @submit.prevent="ask">
    <h3>How sure is it?</h3>
    <TextField v-model="scatter.sewing" field="sewing" label="Sewing off by" size="short" :after="units" />
    <TextField v-model="scatter.cutting" field="cutting" label="Cutting off by" size="short" :after="units" />
    <TextField v-model="scatter.folding" field="folding" label="Fold, where pressed to a side" size="short" :after="units" />
    <TextField v-model="scatter.tolerance" field="tolerance" label="May be eased" size="short" :after="units" />
    <ElButton native-type="submit" :disabled="isBusy">Try it 4000 times</ElButton>
    <template v-if="chance">
      <p v-if="'tooMany' in chance">More than {{ chance.tooMany }} joins take too long to try.</p>
      <template v-else>
        <p class="effect"><b>{{ percent(chance.block) }}</b> that the whole block comes together, give or take {{ percent(chance.error) }}.</p>
        <p v-for="one in chance.better.slice(0, 3)" :key="one.words">{{ one.words }}: {{ percent(one.chance) }}.</p>
      </template>
    </template>
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
</style>
