<script setup lang="ts">
import { ref } from 'vue'
import * as api from '@/api/client'
import type { TrayKind } from '@/api/types'

/** The quilter's own units: what is taken out of the tray can be put back. */
defineProps<{ own: TrayKind[] }>()
const emit = defineEmits<{ changed: [own: TrayKind[]] }>()

const gone = ref<TrayKind | null>(null)
const problem = ref('')
const numberOf = (kind: TrayKind) => Number(kind.kind.replace('own-', ''))

async function told(work: () => Promise<{ own: TrayKind[] }>) {
  problem.value = ''
  try {
    emit('changed', (await work()).own)
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}

async function takeOut(kind: TrayKind) {
  const before = gone.value
  gone.value = kind
  await told(() => api.dropUnit(numberOf(kind)))
  if (problem.value !== '') gone.value = before
}

async function putBack() {
  const kind = gone.value
  if (kind === null) return
  await told(() => api.bringUnitBack(numberOf(kind)))
  if (problem.value === '') gone.value = null
}
</script>

<template>
  <details v-if="own.length > 0 || gone" class="own-units">
    <summary>Your units in the tray</summary>
    <ul>
      <li v-for="kind in own" :key="kind.kind"><span>{{ kind.name }}</span><button type="button" class="link-button" :aria-label="`Take ${kind.name} out of the tray`" @click="takeOut(kind)">Take out</button></li>
    </ul>
    <p v-if="gone" role="status">{{ gone.name }} is out of the tray; blocks that have it keep it. <button type="button" class="link-button" @click="putBack">Put it back</button></p>
    <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  line-height: 44px;
  font-weight: 650;
  cursor: pointer;
}

li {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
</style>
