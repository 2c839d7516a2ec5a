<script setup lang="ts">
import { computed } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import { ElInputNumber } from 'element-plus/es/components/input-number/index'
import { ElRadioButton, ElRadioGroup } from 'element-plus/es/components/radio/index'
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/input-number/style/css'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/radio-button/style/css'
import 'element-plus/es/components/radio-group/style/css'
import 'element-plus/es/components/select/style/css'
import type { TopShown } from '@/api/types'
import TradeWord from '@/components/TradeWord.vue'
import CheckField from '@/components/controls/CheckField.vue'
import TextField from '@/components/controls/TextField.vue'
import { asTyped } from '@/drawing/fractions'

/** How blocks are set: straight or on point, how many, what lies between them, beside them and round them. */
const props = defineProps<{ top: TopShown; wrong: { field: string; words: string } | null }>()
const emit = defineEmits<{ change: [what: Record<string, unknown>, field?: string] }>()

const fields = computed(() => props.top.fields)
const fabrics = computed(() => props.top.picture.fabrics)
const change = (what: Record<string, unknown>, field?: string) => emit('change', what, field)

const sash = (more: Record<string, unknown>) => {
  const now = fields.value.sashes ?? { width: fields.value.units === 'mm' ? '25' : '1', fabric: fabrics.value[0]?.key ?? '', cornerstone: null, outer: false }
  const next = { ...now, ...more }
  return change({ sashes: { width: next.width, fabric: next.fabric, outer: next.outer, ...(next.cornerstone === null ? {} : { cornerstone: next.cornerstone }) } }, 'sashes')
}
const side = (fabric: string, float?: string) => change({ sides: fabric === '' ? { blocks: true } : { fabric, float: float ?? fields.value.sides?.float ?? '0' } }, 'sides')
function border(number: number, more: Record<string, unknown> | null) {
  const usual = { width: fields.value.units === 'mm' ? '50' : '2', fabric: fabrics.value[0]?.key ?? '', square: null }
  const all = fields.value.borders.map((one, i) => (i === number ? (more === null ? null : { ...one, ...more }) : one)).filter((one) => one !== null)
  if (number >= all.length && more !== null) all.push({ ...usual, ...more })
  return change({ borders: all.map((one) => ({ width: one.width, fabric: one.fabric, corners: one.square === null ? 'butted' : 'squares', ...(one.square === null ? {} : { square: one.square }) })) }, 'borders')
}
</script>

<template>
  <section aria-labelledby="setting-title">
    <h2 id="setting-title">Setting</h2>
    <ElRadioGroup :model-value="fields.setting" aria-label="Setting" @update:model-value="change({ setting: $event })">
      <ElRadioButton value="straight">straight</ElRadioButton>
      <ElRadioButton value="on-point">on point</ElRadioButton>
    </ElRadioGroup>
    <div class="two">
      <label class="line">Rows <ElInputNumber :model-value="fields.rows" :min="1" :max="30" aria-label="Rows" @change="change({ rows: $event }, 'rows')" /></label>
      <label class="line">Columns <ElInputNumber :model-value="fields.columns" :min="1" :max="30" aria-label="Columns" @change="change({ columns: $event }, 'rows')" /></label>
    </div>
    <p v-if="wrong?.field === 'rows'" class="wrong" role="alert">{{ wrong.words }}</p>

    <h3><TradeWord of="sashes">Sashes</TradeWord></h3>
    <ElButton v-if="fields.sashes === null" @click="sash({})">Put sashes between</ElButton>
    <template v-else>
      <div class="line">Width <TextField :model-value="asTyped(fields.sashes.width, fields.units)" label="Width of the sashes" hides-label size="short" :after="fields.units" @done="sash({ width: $event })" /></div>
      <label class="line">Fabric
        <ElSelect :model-value="fields.sashes.fabric" filterable aria-label="Fabric of the sashes" @update:model-value="sash({ fabric: $event })"><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="fabric.name" /></ElSelect>
      </label>
      <label class="line">Cornerstones
        <ElSelect :model-value="fields.sashes.cornerstone ?? ''" filterable aria-label="Cornerstones" @update:model-value="sash({ cornerstone: $event === '' ? null : $event })"><ElOption value="" label="none" /><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="fabric.name" /></ElSelect>
      </label>
      <CheckField v-if="fields.setting === 'straight'" :model-value="fields.sashes.outer" @update:model-value="sash({ outer: $event })">round the outside too</CheckField>
      <button type="button" class="link-button" @click="change({ sashes: null })">Take the sashes away</button>
    </template>
    <p v-if="wrong?.field === 'sashes'" class="wrong" role="alert">{{ wrong.words }}</p>

    <template v-if="fields.setting === 'on-point' && fields.sides">
      <h3><TradeWord of="on-point">Triangles at the sides</TradeWord></h3>
      <label class="line">Of
        <ElSelect :model-value="fields.sides.fabric ?? ''" filterable aria-label="Triangles at the sides" @update:model-value="side($event)"><ElOption value="" label="halves of blocks" /><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="fabric.name" /></ElSelect>
      </label>
      <div v-if="fields.sides.fabric !== null" class="line">Larger by <TextField :model-value="asTyped(fields.sides.float, fields.units)" label="Larger by" hides-label size="short" :after="fields.units" @done="side(fields.sides?.fabric ?? '', $event)" /></div>
      <p v-if="wrong?.field === 'sides'" class="wrong" role="alert">{{ wrong.words }}</p>
    </template>

    <h3>Borders</h3>
    <div v-for="(one, number) in fields.borders" :key="number" class="border">
      <div class="line">Width <TextField :model-value="asTyped(one.width, fields.units)" :label="`Width of border ${number + 1}`" hides-label size="short" :after="fields.units" @done="border(number, { width: $event })" /></div>
      <label class="line">Fabric
        <ElSelect :model-value="one.fabric" filterable :aria-label="`Fabric of border ${number + 1}`" @update:model-value="border(number, { fabric: $event })"><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="fabric.name" /></ElSelect>
      </label>
      <label class="line">Corners
        <ElSelect :model-value="one.square ?? ''" filterable :aria-label="`Corners of border ${number + 1}`" @update:model-value="border(number, { square: $event === '' ? null : $event })"><ElOption value="" label="butted" /><ElOption v-for="fabric in fabrics" :key="fabric.key" :value="fabric.key" :label="`squares of ${fabric.name}`" /></ElSelect>
      </label>
      <button type="button" class="link-button" @click="border(number, null)">Take border {{ number + 1 }} away</button>
    </div>
    <ElButton @click="border(fields.borders.length, {})">Add a border</ElButton>
    <p v-if="wrong?.field === 'borders'" class="wrong" role="alert">{{ wrong.words }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  padding-bottom: 22px;
}

section > * {
  min-width: 0;
}

h2 {
  padding-bottom: 4px;
  font-size: 19px;
}

h3 {
  padding-top: 12px;
  font-size: 17px;
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 170px;
  align-items: center;
  gap: 10px;
}

.two {
  display: grid;
  gap: 8px;
}

.border {
  display: grid;
  gap: 6px;
  padding-bottom: 10px;
}

.wrong {
  color: var(--brick);
}
</style>
