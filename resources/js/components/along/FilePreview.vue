<script setup lang="ts">
import { ref, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { FilePreviewed } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import { asTyped } from '@/drawing/fractions'
import FractionText from '@/drawing/FractionText.vue'

/** A file, or a drawing, to be looked at before it is kept. */
const props = defineProps<{ text: string; /** Its file's name, where it is a drawing. */ drawing?: string }>()
const emit = defineEmits<{ kept: [what: { kind: 'block' | 'top'; id: number; name: string }]; leave: [] }>()

const shown = ref<FilePreviewed | null>(null)
const problem = ref<string | null>(null)
const name = ref('')
const isBusy = ref(false)

async function look(size?: { width: string; units: 'in' | 'mm' }) {
  problem.value = null
  try {
    shown.value = props.drawing === undefined ? await api.previewFile(props.text) : await api.previewDrawing(props.text, name.value, size)
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}

watch(
  () => props.text,
  () => {
    name.value = props.drawing?.replace(/\.svg$/i, '') ?? ''
    shown.value = null
    void look()
  },
  { immediate: true },
)

const pictureOf = (svg: string) => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`

async function rename(to: string) {
  name.value = to
  await look(shown.value === null ? undefined : { width: asTyped(shown.value.finished[0] ?? '', shown.value.units), units: shown.value.units })
}

async function keep() {
  const seen = shown.value
  if (seen === null) return
  isBusy.value = true
  try {
    const made = seen.kind === 'top' ? await api.bringInTop(seen.file) : await api.bringIn(seen.file)
    emit('kept', { kind: seen.kind, id: made.id, name: made.name })
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <section class="file-preview" aria-label="Look before you keep it">
    <img v-if="shown" :src="pictureOf(shown.picture)" :alt="`${shown.name}, face`" />
    <div class="about">
      <h2>{{ shown?.name ?? drawing ?? 'What was shared' }}</h2>
      <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
      <template v-if="shown">
        <p><FractionText :text="shown.finished.join(' x ')" :units="shown.units" /> {{ shown.units }} finished</p>
        <div v-if="drawing !== undefined" class="fields">
          <TextField :model-value="name" label="Name" @done="rename" />
          <TextField :model-value="asTyped(shown.finished[0] ?? '', shown.units)" label="Width" size="short" :after="shown.units" @done="look({ width: $event, units: shown.units })" />
        </div>
        <ul v-if="shown.says.length > 0">
          <li v-for="(sentence, i) in shown.says" :key="i">{{ sentence }}</li>
        </ul>
        <p v-if="drawing !== undefined" class="soft">Fabrics are named by their letters; give them their names and colours at the wall.</p>
      </template>
      <div class="deeds">
        <ElButton v-if="shown" type="primary" :disabled="isBusy" @click="keep">Keep it on the shelf</ElButton>
        <ElButton @click="emit('leave')">{{ shown ? 'Do not keep it' : 'Close' }}</ElButton>
      </div>
    </div>
  </section>
</template>

<style scoped>
.file-preview {
  display: grid;
  grid-template-columns: minmax(0, 320px) minmax(0, 1fr);
  gap: 28px;
  margin: 12px 0 24px;
  padding: 20px;
  border: 1px solid var(--hair);
  background: var(--paper);
}

img {
  display: block;
  width: 100%;
}

.about {
  display: grid;
  gap: 10px;
  align-content: start;
}

.fields,
.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
}

li {
  padding: 4px 0;
  border-top: 1px solid var(--hair);
}

@media (max-width: 640px) {
  .file-preview {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
