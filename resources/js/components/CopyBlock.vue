<script setup lang="ts">
import { ref } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { ShelfBlock } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import { asTyped } from '@/drawing/fractions'

/** A block once more, as large or in another size. */
const props = defineProps<{ block: ShelfBlock }>()
const emit = defineEmits<{ made: [block: ShelfBlock]; close: [] }>()

const name = ref(`${props.block.name}, again`)
const [width, height] = [ref(asTyped(props.block.finished[0] ?? '', props.block.unit)), ref(asTyped(props.block.finished[1] ?? props.block.finished[0] ?? '', props.block.unit))]
const problem = ref('')
const isBusy = ref(false)

async function copy() {
  problem.value = ''
  isBusy.value = true
  try {
    emit('made', await api.copyBlock(props.block.id, { name: name.value, width: width.value, height: height.value }))
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <form class="copy-block" :aria-label="`Copy ${block.name}`" @submit.prevent="copy">
    <TextField v-model="name" label="Name" />
    <div class="size">Finished <TextField v-model="width" field="width" label="Finished width" hides-label size="short" /> x <TextField v-model="height" field="height" label="Finished height" hides-label size="short" :after="block.unit" /></div>
    <p class="soft">Order, pressing, locks and ways go with it as far as they fit; what is sewn stays with the first.</p>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <div><ElButton type="primary" native-type="submit" :disabled="isBusy">Make the copy</ElButton><ElButton @click="emit('close')">Not now</ElButton></div>
  </form>
</template>

<style scoped>
.copy-block {
  display: grid;
  gap: 10px;
  padding-top: 10px;
}

.size {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.wrong {
  color: var(--brick);
}
</style>
