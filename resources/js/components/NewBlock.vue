<script setup lang="ts">
import { onMounted, ref, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { ShelfBlock, StartsShown } from '@/api/types'
import BlockFace from '@/drawing/BlockFace.vue'

/** What a new block begins with: its grid, its finished size and a starting arrangement. */
const emit = defineEmits<{ made: [block: ShelfBlock]; problem: [text: string] }>()

const starts = shallowRef<StartsShown['starts']>([])
const start = ref('blank')
const [name, columns, rows, width, height] = [ref(''), ref('4'), ref('4'), ref('12'), ref('12')]
const units = ref<'in' | 'mm'>('in')
/** What a block commonly measures in each unit; sizes the quilter wrote herself stay as she wrote them. */
const usual = { in: '12', mm: '300' }
watch(units, (now, before) => {
  for (const side of [width, height]) if (side.value.trim() === usual[before]) side.value = usual[now]
})
const isBusy = ref(false)

onMounted(async () => {
  starts.value = (await api.starts().catch(() => ({ starts: [] }))).starts
})

async function begin() {
  isBusy.value = true
  try {
    emit('made', await api.begin({ name: name.value, start: start.value, columns: columns.value, rows: rows.value, width: width.value, height: height.value, units: units.value }))
  } catch (error) {
    emit('problem', error instanceof Error ? error.message : String(error))
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <form class="new-block" aria-label="New block" @submit.prevent="begin">
    <div class="fields">
      <label>Name <input v-model="name" maxlength="120" placeholder="New block" /></label>
      <label>Columns <input v-model="columns" class="short" aria-describedby="lines" /></label>
      <label>Rows <input v-model="rows" class="short" aria-describedby="lines" /></label>
      <label>Finished width <input v-model="width" class="short" /></label>
      <label>Height <input v-model="height" class="short" /></label>
      <label>Unit <select v-model="units"><option value="in">inches</option><option value="mm">millimetres</option></select></label>
    </div>
    <p id="lines" class="soft">Columns and rows: a number for equal ones, or their widths one after the other, like <b>1 2 1</b>.</p>
    <div class="starts" role="radiogroup" aria-label="Begin with">
      <button v-for="one in starts" :key="one.start" type="button" role="radio" :aria-checked="one.start === start" :class="{ chosen: one.start === start }" :data-start="one.start" @click="start = one.start">
        <BlockFace :face="one.face" :label="one.words" :pixels="84" />
        <span>{{ one.words }}</span>
      </button>
    </div>
    <ElButton type="primary" native-type="submit" :disabled="isBusy">Hang it on the wall</ElButton>
  </form>
</template>

<style scoped>
.new-block {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 20px 0 28px;
  border-top: 1px solid var(--hair);
  border-bottom: 1px solid var(--hair);
}

.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
}

label {
  display: grid;
}

.short {
  width: 104px;
}

.starts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

.starts button {
  align-self: start;
  width: 128px;
  padding: 10px;
  border: 2px solid transparent;
  border-radius: 6px;
  background: none;
  cursor: pointer;
}

.starts button:hover {
  background: var(--thread-pale);
}

.starts .chosen {
  border-color: var(--thread);
}

.starts .block-face {
  width: 84px;
  height: 84px;
  margin: 0 auto 6px;
}
</style>
