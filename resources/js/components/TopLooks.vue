<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { TopLooksShown } from '@/api/types'
import FoldedPart from '@/components/FoldedPart.vue'

/** Hands of whole blocks, and blocks that could lie otherwise without the edge that is sewn telling it. */
const props = defineProps<{ top: number; version: number; places: number }>()

/** More places are counted, not named. */
const NAMED = 12

const looks = shallowRef<TopLooksShown | null>(null)
const wrong = ref('')
const isOpen = ref(false)

async function look() {
  if (!isOpen.value) return
  try {
    looks.value = await api.looksOfTop(props.top)
    wrong.value = ''
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error)
  }
}
function open(isNow: boolean) {
  isOpen.value = isNow
  void look()
}
watch(() => props.version, look)
const named = computed(() => (looks.value?.twice ?? []).slice(0, NAMED).map((one) => `row ${one.row}, column ${one.column}`).join('; '))
</script>

<template>
  <FoldedPart class="top-looks" title="Hands, and where to look twice" :problem="wrong" @open="open">
    <template v-if="looks">
      <p v-for="hand in looks.hands" :key="hand">{{ hand }}</p>
      <p v-if="looks.hands.length === 0">No block is there in both hands.</p>
      <p v-if="looks.twice.length === 0">A block that lies wrong shows it at the edge that is sewn.</p>
      <p v-else-if="looks.twice.length > NAMED">{{ looks.twice.length }} of the {{ places }} blocks look the same at the edge that is sewn when they lie turned. Compare the whole row with the picture before you sew it.</p>
      <p v-else>{{ looks.twice.length === 1 ? 'This one looks' : 'These look' }} the same at the edge that is sewn when {{ looks.twice.length === 1 ? 'it lies' : 'they lie' }} turned: {{ named }}.</p>
    </template>
    <p v-else-if="!wrong" class="soft" role="status">Looking …</p>
  </FoldedPart>
</template>
