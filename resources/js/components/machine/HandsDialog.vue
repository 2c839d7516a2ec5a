<script setup lang="ts">
import { ElButton } from 'element-plus/es/components/button/index'
import { ElDialog } from 'element-plus/es/components/dialog/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/dialog/style/css'
import { computed, ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { HandMend, HandsShown } from '@/api/types'
import ChoiceRadios from '@/components/controls/ChoiceRadios.vue'
import CountField from '@/components/controls/CountField.vue'
import ChoiceField from '@/components/controls/ChoiceField.vue'

/** A pile of units that came out as the other hand: which, how many, and the least work that mends it. */
const props = defineProps<{ block: number }>()
const emit = defineEmits<{ mend: [unit: string, count: number, how: HandMend] }>()

const isOpen = ref(false)
const shown = shallowRef<HandsShown | null>(null)
const label = ref('')
const count = ref(1)
const how = ref<HandMend | null>(null)
const problem = ref('')
const pile = computed(() => shown.value?.piles.find((one) => one.label === label.value) ?? null)
const nameOf = (one: HandsShown['piles'][number]) => (shown.value?.piles.filter((other) => other.name === one.name).length === 1 ? one.name : `${one.name} (${one.label})`)

async function ask(with_?: { unit: string; count: number }) {
  problem.value = ''
  const answer = await api.wrongHands(props.block, with_).catch((error: Error) => {
    problem.value = error.message
    return null
  })
  // An answer to what was asked before is of no use.
  if (answer !== null && (with_ === undefined || (with_.unit === label.value && with_.count === count.value))) {
    shown.value = answer
    how.value = answer.mends[0]?.how ?? null
  }
}

watch(label, () => (count.value = pile.value?.loose ?? 1))
watch([label, count], ([unit, many]) => {
  if (unit !== '' && Number.isInteger(many)) void ask({ unit, count: many })
})

const pilesNow = () => shown.value?.piles ?? []

async function open() {
  label.value = ''
  shown.value = null
  isOpen.value = true
  await ask()
  label.value = pilesNow()[0]?.label ?? ''
}

function mend() {
  if (how.value !== null) emit('mend', label.value, count.value, how.value)
  isOpen.value = false
}

defineExpose({ open })
</script>

<template>
  <ElDialog v-model="isOpen" class="machine-dialog hands" title="A pile of the wrong hand" width="min(620px, 94vw)" align-center append-to-body destroy-on-close>
    <form @submit.prevent="mend">
      <p v-if="shown && shown.piles.length === 0">No unit lies loose: what is sewn to something is unpicked first.</p>
      <template v-else>
        <ChoiceField v-model="label" label="Which units" :choices="(shown?.piles ?? []).map((one) => ({ value: one.label, words: nameOf(one) }))" />
        <CountField v-model="count" :label="`How many of the ${pile?.loose ?? 0} that lie loose`" :max="pile?.loose ?? 1" />
        <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
        <ChoiceRadios v-else-if="how !== null" v-model="how" aria-live="polite" label="The least work first" :choices="(shown?.mends ?? []).map((one) => ({ value: one.how, words: one.words }))" />
      </template>
      <div class="deeds">
        <ElButton native-type="button" @click="isOpen = false">Leave it</ElButton>
        <ElButton native-type="submit" type="primary" :disabled="how === null || problem !== ''">Mend it so</ElButton>
      </div>
    </form>
  </ElDialog>
</template>
