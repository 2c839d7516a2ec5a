<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import { ElCheckbox } from 'element-plus/es/components/checkbox/index'
import { ElDialog } from 'element-plus/es/components/dialog/index'
import { ElForm, ElFormItem } from 'element-plus/es/components/form/index'
import { ElInput } from 'element-plus/es/components/input/index'
import { ElRadioButton, ElRadioGroup } from 'element-plus/es/components/radio/index'
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/checkbox/style/css'
import 'element-plus/es/components/dialog/style/css'
import 'element-plus/es/components/form/style/css'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/radio/style/css'
import 'element-plus/es/components/select/style/css'
import { ProblemError } from '@/api/client'
import type { HouseShown } from '@/api/types'
import { useHints } from '@/composables/useHints'
import { useMachineChoices } from '@/composables/useMachineChoices'
import { useSingleKeys } from '@/composables/useSingleKeys'
import { useTypeSize } from '@/composables/useTypeSize'
import { asTyped } from '@/drawing/fractions'
import { hints } from '@/drawing/hints'
import { useHouseStore } from '@/stores/house'
import SwitchShelf from './SwitchShelf.vue'

/** Everything that is set once: what the house does, and how this device is used. */
const store = useHouseStore()
const house = computed(() => store.house)
const problem = ref<{ field: string; words: string } | null>(null)
onMounted(store.load)

async function change(part: Partial<HouseShown>) {
  problem.value = null
  try {
    await store.change(part)
  } catch (error) {
    problem.value = { field: error instanceof ProblemError ? error.where : '', words: error instanceof Error ? error.message : String(error) }
  }
}
const errorAt = (field: string) => (problem.value?.field === field ? problem.value.words : '')
/** As it is typed, until it is sent. */
const typed = ref<Record<string, string>>({})

const { isLeftHanded, isReadAloud, isSecondLook, isCounting, pedalKey, pedalWord } = useMachineChoices()
const isChoosingKey = ref(false)
function choosePedal(event: KeyboardEvent) {
  if (!isChoosingKey.value || event.key === 'Tab') return
  event.preventDefault()
  event.stopPropagation()
  if (event.key !== 'Escape') pedalKey.value = event.key
  isChoosingKey.value = false
}
const singleKeys = useSingleKeys()
const typeSize = useTypeSize()
const { closed: closedHints, showAgain, hasLeft, setShown } = useHints()
</script>

<template>
  <ElDialog v-model="store.isOpen" title="Settings" width="min(760px, 94vw)" align-center :lock-scroll="false" append-to-body>
    <p v-if="problem && !['allowance_in', 'allowance_mm'].includes(problem.field)" class="wrong" role="alert">{{ problem.words }}</p>
    <ElForm v-if="house" label-position="top" class="settings-form" @submit.prevent>
      <h2>The house</h2>
      <ElFormItem label="New blocks are measured in">
        <ElRadioGroup :model-value="house.units" aria-label="New blocks are measured in" @update:model-value="change({ units: $event as HouseShown['units'] })">
          <ElRadioButton value="in">inches</ElRadioButton>
          <ElRadioButton value="mm">millimetres</ElRadioButton>
        </ElRadioGroup>
      </ElFormItem>
      <SwitchShelf :units="house.units" @problem="problem = { field: '', words: $event }" />
      <div class="pair">
        <ElFormItem label="Ruler, inches">
          <ElSelect :model-value="house.marks_in" aria-label="Ruler, inches" @update:model-value="change({ marks_in: $event })"><ElOption :value="8" label="to 1/8 in" /><ElOption :value="16" label="to 1/16 in" /></ElSelect>
        </ElFormItem>
        <ElFormItem label="Ruler, millimetres">
          <ElSelect :model-value="house.marks_mm" aria-label="Ruler, millimetres" @update:model-value="change({ marks_mm: $event })"><ElOption :value="1" label="to 1 mm" /><ElOption :value="2" label="to 0.5 mm" /></ElSelect>
        </ElFormItem>
        <ElFormItem v-for="[units, words] in [['in', 'Seam allowance of new blocks, in'], ['mm', 'Seam allowance of new blocks, mm']] as const" :key="units" :label="words" :error="errorAt(`allowance_${units}`)">
          <ElInput :model-value="typed[units] ?? asTyped(house[`allowance_${units}`], units)" :aria-label="words" inputmode="text" @update:model-value="typed[units] = $event" @change="((typed = {}), change({ [`allowance_${units}`]: $event }))" />
        </ElFormItem>
        <ElFormItem label="Units from squares are cut">
          <ElSelect :model-value="house.margin" aria-label="Units from squares are cut" @update:model-value="change({ margin: $event })"><ElOption value="larger" label="larger, squared up" /><ElOption value="exact" label="exact" /></ElSelect>
        </ElFormItem>
        <ElFormItem label="Paper">
          <ElSelect :model-value="house.paper" aria-label="Paper" @update:model-value="change({ paper: $event })"><ElOption value="letter" label="letter, 8 1/2 x 11 in" /><ElOption value="a4" label="A4, 210 x 297 mm" /></ElSelect>
        </ElFormItem>
      </div>
      <h2>This device</h2>
      <ElFormItem label="Type">
        <ElRadioGroup v-model="typeSize" aria-label="Type">
          <ElRadioButton value="usual">usual</ElRadioButton>
          <ElRadioButton value="larger">larger</ElRadioButton>
          <ElRadioButton value="largest">largest</ElRadioButton>
        </ElRadioGroup>
      </ElFormItem>
      <ElFormItem label="Keys that are a letter, a digit or a sign act">
        <ElRadioGroup v-model="singleKeys" aria-label="Keys that are a letter, a digit or a sign act">
          <ElRadioButton value="always">always</ElRadioButton>
          <ElRadioButton value="in-their-part">where the focus is</ElRadioButton>
          <ElRadioButton value="never">never</ElRadioButton>
        </ElRadioGroup>
        <p class="soft note">Space, Enter, the arrows, the pedal and keys with Control always act. Switch letters off if you speak to your device, or if keys are hit by chance.</p>
      </ElFormItem>
      <div class="checks">
        <ElCheckbox v-model="isLeftHanded">Left-handed: controls change sides, the block never</ElCheckbox>
        <ElCheckbox v-model="isReadAloud">Read the steps aloud at the machine</ElCheckbox>
        <ElCheckbox v-model="isCounting">Count every piece of a chain</ElCheckbox>
        <ElCheckbox v-model="isSecondLook">Second look at units that could lie turned</ElCheckbox>
        <p class="soft">At the machine the keys L, R and C switch the first three.</p>
      </div>
      <ElFormItem label="Pedal">
        <ElButton @click="isChoosingKey = true" @keydown="choosePedal">{{ isChoosingKey ? 'Press the pedal now' : `It types ${pedalWord}: choose its key` }}</ElButton>
      </ElFormItem>
      <ElFormItem label="Hints">
        <div class="which-hints" role="group" aria-label="Hints at">
          <ElCheckbox v-for="(_, place) in hints" :key="place" :model-value="hasLeft(place)" @update:model-value="setShown(place, $event === true)">{{ place }}</ElCheckbox>
        </div>
        <ElButton :disabled="closedHints.length === 0" @click="showAgain">Show the hints again</ElButton>
        <p class="soft note">{{ closedHints.length === 0 ? 'All hints are shown.' : `${closedHints.length} are closed.` }}</p>
      </ElFormItem>
    </ElForm>
    <p v-else class="soft" role="status">Fetching the settings</p>
    <template #footer><ElButton type="primary" @click="store.isOpen = false">Close</ElButton></template>
  </ElDialog>
</template>

<style scoped>
h2 {
  padding: 8px 0 10px;
}

.settings-form :deep(.el-form-item) {
  margin-bottom: 16px;
}

.settings-form :deep(.el-form-item__label) {
  margin-bottom: 4px;
  color: var(--ink);
  font-size: 16px;
  font-weight: 600;
  line-height: 1.3;
}

.settings-form :deep(.el-radio-button__inner) {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

.settings-form :deep(.el-checkbox__label) {
  color: var(--ink);
  font-size: 16px;
  font-weight: 400;
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(260px, 100%), 1fr));
  gap: 0 24px;
}

.which-hints {
  display: flex;
  flex-basis: 100%;
  flex-wrap: wrap;
}

.which-hints :deep(.el-checkbox) {
  min-height: 44px;
}

.checks {
  display: grid;
  padding-bottom: 12px;
}

.checks :deep(.el-checkbox) {
  height: auto;
  min-height: 44px;
  margin: 0;
  white-space: normal;
}

.note {
  flex-basis: 100%;
  padding-top: 4px;
  line-height: 1.35;
}

.wrong {
  color: var(--brick);
}
</style>
