<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import * as api from '@/api/client'
import type { HandMend, HandsShown } from '@/api/types'

/** A pile of units that came out as the other hand: which, how many, and the least work that mends it. */
const props = defineProps<{ block: number }>()
const emit = defineEmits<{ mend: [unit: string, count: number, how: HandMend] }>()

const dialog = useTemplateRef<HTMLDialogElement>('dialog')
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
  dialog.value?.showModal()
  await ask()
  label.value = pilesNow()[0]?.label ?? ''
}

function mend() {
  if (how.value !== null) emit('mend', label.value, count.value, how.value)
  dialog.value?.close()
}

defineExpose({ open })
</script>

<template>
  <dialog ref="dialog" class="machine-dialog hands" aria-label="A pile of the wrong hand" @keydown.stop>
    <form @submit.prevent="mend">
      <h2>A pile of the wrong hand</h2>
      <p v-if="shown && shown.piles.length === 0">No unit lies loose: what is sewn to something is unpicked first.</p>
      <template v-else>
        <label>Which units
          <select v-model="label"><option v-for="one in shown?.piles ?? []" :key="one.label" :value="one.label">{{ nameOf(one) }}</option></select>
        </label>
        <label>How many of the {{ pile?.loose ?? 0 }} that lie loose
          <input v-model.number="count" type="number" min="1" :max="pile?.loose ?? 1" />
        </label>
        <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
        <fieldset v-else aria-live="polite">
          <legend>The least work first</legend>
          <label v-for="one in shown?.mends ?? []" :key="one.how"><input v-model="how" type="radio" name="mend" :value="one.how" /> <span>{{ one.words }}</span></label>
        </fieldset>
      </template>
      <div class="deeds">
        <ElButton native-type="button" @click="dialog?.close()">Leave it</ElButton>
        <ElButton native-type="submit" type="primary" :disabled="how === null || problem !== ''">Mend it so</ElButton>
      </div>
    </form>
  </dialog>
</template>
