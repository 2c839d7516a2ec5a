<script setup lang="ts">
import { ref } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { ShelfBlock, TopShown } from '@/api/types'
import CheckField from '@/components/controls/CheckField.vue'
import TextField from '@/components/controls/TextField.vue'

/** Which blocks of the shelf a new top is made of. */
defineProps<{ blocks: ShelfBlock[] }>()
const emit = defineEmits<{ made: [top: TopShown] }>()

const name = ref('')
const chosen = ref<number[]>([])
const problem = ref('')
const isBusy = ref(false)

async function begin() {
  problem.value = ''
  isBusy.value = true
  try {
    emit('made', await api.beginTop(name.value, chosen.value))
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <form class="new-top" aria-label="New top" @submit.prevent="begin">
    <TextField v-model="name" label="Name" placeholder="New top" />
    <fieldset>
      <legend>Of which blocks? The first you choose gives the size; others of its shape are taken in that size.</legend>
      <div v-for="block in blocks" :key="block.id" class="block">
        <img :src="block.picture" :alt="`${block.name}, face`" loading="lazy" width="84" :height="Math.round((84 * block.height) / block.width)" />
        <CheckField :model-value="chosen.includes(block.id)" @update:model-value="chosen = $event ? [...chosen, block.id] : chosen.filter((one) => one !== block.id)">{{ block.name }}</CheckField>
      </div>
    </fieldset>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <ElButton type="primary" native-type="submit" :disabled="isBusy || chosen.length === 0">Lay it out</ElButton>
  </form>
</template>

<style scoped>
.new-top {
  display: grid;
  gap: 14px;
  justify-items: start;
  padding: 20px 0 28px;
  border-top: 1px solid var(--hair);
  border-bottom: 1px solid var(--hair);
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding-bottom: 10px;
  color: var(--soft);
}

.block {
  display: grid;
  gap: 6px;
  width: 120px;
  min-height: 44px;
}

.wrong {
  color: var(--brick);
}
</style>
