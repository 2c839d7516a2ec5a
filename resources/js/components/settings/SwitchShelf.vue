<script setup lang="ts">
import { ref } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import { switchHouse, type Switching } from '@/api/client'
import type { HouseSwitched } from '@/api/types'
import { counted } from '@/drawing/words'
import { useShelfStore } from '@/stores/shelf'

/** What stands on the shelf already, measured in the house's unit too. */
const props = defineProps<{ units: 'in' | 'mm' }>()
const emit = defineEmits<{ problem: [words: string] }>()

const isBusy = ref(false)
const told = ref<HouseSwitched | null>(null)
const shelf = useShelfStore()
const words = { in: 'inches', mm: 'millimetres' }

async function change(how: Switching) {
  isBusy.value = true
  try {
    told.value = await switchHouse(props.units, how)
    if (shelf.isLoaded) await shelf.load()
  } catch (error) {
    emit('problem', error instanceof Error ? error.message : String(error))
  } finally {
    isBusy.value = false
  }
}

function said({ switched, sameSize, left }: HouseSwitched): string {
  const parts = [switched.length === 0 ? 'Nothing had to be switched.' : `${counted(switched.length, 'is', 'are')} measured in ${words[props.units]} now.`]
  if (sameSize.length > 0) parts.push(`${sameSize.join(', ')}: in ${words[props.units]} too, but as large as before, since they are being sewn or are tops.`)
  if (left.length > 0) parts.push(`Left as they are, because they cannot be written so: ${left.join(', ')}.`)
  return parts.join(' ')
}
</script>

<template>
  <div class="switch-shelf">
    <p>What stands on the shelf keeps its unit. Switch all of it to {{ words[units] }}:</p>
    <div class="deeds">
      <ElButton :disabled="isBusy" @click="change('sensibly')">in sizes one uses there</ElButton>
      <ElButton :disabled="isBusy" @click="change('exactly')">exactly as large</ElButton>
    </div>
    <p v-if="told" role="status">{{ said(told) }}</p>
    <p class="soft">A block that is being cut or sewn keeps its size. Undo at its wall takes it back.</p>
  </div>
</template>

<style scoped>
.switch-shelf {
  padding-bottom: 16px;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  padding: 6px 0;
}

.deeds .el-button {
  margin: 0;
}
</style>
