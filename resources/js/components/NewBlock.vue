<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import { ProblemError } from '@/api/client'
import type { ShelfBlock, StartPictures } from '@/api/types'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import TextField from '@/components/controls/TextField.vue'
import { radioKeys } from '@/composables/radioKeys'
import { provideUnits, type Units } from '@/composables/useUnits'
import BlockFace from '@/drawing/BlockFace.vue'
import FractionText from '@/drawing/FractionText.vue'
import { useHouseStore } from '@/stores/house'

/** What a new block begins with, as pictures that change while it is typed. */
const emit = defineEmits<{ made: [block: ShelfBlock]; problem: [text: string] }>()

type Field = 'columns' | 'rows' | 'width' | 'height'

/** Milliseconds the typing rests before the pictures change. */
const REST = 150

const shown = shallowRef<StartPictures | null>(null)
const wrong = shallowRef<{ field: string; words: string } | null>(null)
const start = ref('blank')
const name = ref('')
const fields = ref<Record<Field, string>>({ columns: '4', rows: '4', width: '12', height: '12' })
const store = useHouseStore()
/** As the house measures, until she says otherwise. */
const ownUnits = ref<Units | null>(null)
const units = computed<Units>({ get: () => ownUnits.value ?? store.house?.units ?? 'in', set: (chosen) => (ownUnits.value = chosen) })
onMounted(store.load)
provideUnits(() => units.value)
const figure = ref<'dark' | 'light'>('dark')
const isBusy = ref(false)
/** What a block commonly measures in each unit; sizes the quilter wrote herself stay as she wrote them. */
const usual = { in: '12', mm: '300' }
watch(
  units,
  (now, before) => {
    for (const side of ['width', 'height'] as const) if (fields.value[side].trim() === usual[before ?? 'in']) fields.value[side] = usual[now]
  },
  { immediate: true },
)

const asked = computed(() => ({ ...fields.value, units: units.value, figure: figure.value }))
let timer: ReturnType<typeof setTimeout> | undefined
watch(asked, () => {
  clearTimeout(timer)
  timer = setTimeout(look, shown.value === null ? 0 : REST)
}, { immediate: true })

async function look() {
  const now = asked.value
  try {
    const answer = await api.startPictures(now)
    if (now === asked.value) [shown.value, wrong.value] = [answer, null]
  } catch (error) {
    if (now === asked.value) wrong.value = { field: error instanceof ProblemError ? error.where : '', words: error instanceof Error ? error.message : String(error) }
  }
}

function take([width, height]: [string, string]) {
  fields.value.width = width
  fields.value.height = height
}

async function begin() {
  isBusy.value = true
  try {
    emit('made', await api.begin({ name: name.value, start: start.value, ...asked.value }))
  } catch (error) {
    if (error instanceof ProblemError && error.where in fields.value) wrong.value = { field: error.where, words: error.message }
    else emit('problem', error instanceof Error ? error.message : String(error))
  } finally {
    isBusy.value = false
  }
}

const labels: [Field, string][] = [
  ['columns', 'Columns'],
  ['rows', 'Rows'],
  ['width', 'Finished width'],
  ['height', 'Finished height'],
]
</script>

<template>
  <form class="new-block" aria-label="New block" @submit.prevent="begin">
    <div class="fields">
      <TextField v-model="name" label="Name" placeholder="New block" />
      <div v-for="[field, words] in labels" :key="field" class="field">
        <TextField v-model="fields[field]" :label="words" size="short" :error="wrong?.field === field ? wrong.words : ''" />
        <p v-if="wrong?.field !== field" class="soft"><FractionText v-if="shown && (field === 'columns' || field === 'rows')" :text="shown[field]" /></p>
      </div>
      <ChoiceField v-model="units" label="Unit" :choices="[{ value: 'in', words: 'inches' }, { value: 'mm', words: 'millimetres' }]" />
      <ChoiceField v-model="figure" label="Figure" :choices="[{ value: 'dark', words: 'dark on light' }, { value: 'light', words: 'light on dark' }]" />
    </div>
    <p class="soft">Columns and rows: a number for equal ones, or their widths one after the other, like <b>1 2 1</b>.</p>
    <p v-if="shown && shown.fits.length > 0 && wrong === null" class="soft">
      A size near this one cuts more easily:
      <button v-for="size in shown.fits" :key="size.join()" type="button" class="link-button" @click="take(size)"><FractionText :text="size[0] === size[1] ? size[0] : size.join(' x ')" /></button>
    </p>
    <p v-if="wrong && !(wrong.field in fields)" class="wrong" role="alert">{{ wrong.words }}</p>
    <div class="starts" role="radiogroup" aria-label="Begin with" @keydown="radioKeys">
      <button v-for="one in shown?.starts ?? []" :key="one.start" type="button" role="radio" :aria-checked="one.start === start" :tabindex="one.start === start ? 0 : -1" :class="{ chosen: one.start === start }" :data-start="one.start" @click="start = one.start">
        <BlockFace v-if="one.face" :face="one.face" :label="one.words" :pixels="84" />
        <span>{{ one.words }}</span>
      </button>
    </div>
    <ElButton type="primary" native-type="submit" :disabled="isBusy || wrong !== null">Hang it on the wall</ElButton>
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
  align-items: start;
  gap: 12px 24px;
}

.field {
  max-width: 190px;
}

.field p {
  min-height: 22px;
  padding-top: 2px;
  font-size: 15px;
}

.wrong {
  color: var(--brick);
}

.link-button {
  margin-left: 12px;
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
