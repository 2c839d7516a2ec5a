<script setup lang="ts">
import { ElButton } from 'element-plus/es/components/button/index'
import { ElDialog } from 'element-plus/es/components/dialog/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/dialog/style/css'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { JoinShown, UnpickCause, UnpickCost } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import ChoiceRadios from '@/components/controls/ChoiceRadios.vue'
import CountField from '@/components/controls/CountField.vue'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import { counted } from '@/drawing/words'

/** Goes back over a seam: which, why, and what it costs before anything is decided. */
const props = defineProps<{ block: number; joins: JoinShown[]; sewn: number[]; blocks: number; /** Whether the server knows every key. */ isSaved: boolean; /** Pieces of the step at hand that are sewn, where not all of them are. */ here: { title: string; counted: number } | null }>()
const emit = defineEmits<{ unpick: [join: number, cause: UnpickCause, blocks: number, reason: string]; 'unpick-here': [count: number, cause: UnpickCause, reason: string]; hands: [] }>()

const causes: { value: UnpickCause; words: string }[] = [
  { value: 'turned', words: 'a unit was turned' },
  { value: 'wrong-hand', words: 'wrong hand' },
  { value: 'missed-point', words: 'a point was missed' },
  { value: 'pressed-wrong', words: 'pressed to the wrong side' },
  { value: 'other', words: 'something else' },
]

const isOpen = ref(false)
const join = ref<number | 'here' | null>(null)
const inBlocks = ref(1)
const most = computed(() => (join.value === 'here' ? (props.here?.counted ?? 1) : props.blocks))
const times = computed(() => Math.min(most.value, Math.max(1, Math.round(Number(inBlocks.value)) || 1)))
const cause = ref<UnpickCause>('turned')
const reason = ref('')
const cost = shallowRef<UnpickCost | null>(null)
const problem = ref('')

/** What was sewn last comes first. */
const choices = computed(() => props.joins.filter((one) => props.sewn.includes(one.id)).reverse())
const named = computed<{ value: number | 'here'; words: string }[]>(() => [
  ...(props.here === null ? [] : [{ value: 'here' as const, words: `${props.here.title}: what is sewn of this step` }]),
  ...choices.value.map((one) => ({ value: one.id, words: `${one.title}${one.place ? ` at ${one.place}` : ''}` })),
])

/** Few enough units are named, more are counted. */
const unitWords = computed(() => {
  const units = cost.value?.units ?? []
  return units.length === 0 ? '' : units.length > 3 ? `Touches ${units.length} units.` : `Touches the ${units.join(', the ')}.`
})

watch(join, async (now) => {
  cost.value = null
  problem.value = ''
  if (now === null || now === 'here') return
  const answer = await api.unpickCost(props.block, now).catch((error: Error) => {
    problem.value = error.message
    return null
  })
  if (join.value === now) cost.value = answer
})

/** A key may be pressed before the server has told what the keys before it sewed: the last seam is offered once it is known. */
const hasChosen = ref(false)
const last = computed(() => (props.isSaved ? (props.here === null ? (choices.value[0]?.id ?? null) : 'here') : null))
watch(last, (now) => {
  if (!hasChosen.value) join.value = now
})

function open() {
  hasChosen.value = false
  inBlocks.value = 1
  reason.value = ''
  join.value = null
  void nextTick(() => (join.value = last.value))
  isOpen.value = true
}

function unpick() {
  const why = cause.value === 'other' ? reason.value.trim() : ''
  if (join.value === 'here') emit('unpick-here', times.value, cause.value, why)
  else if (join.value !== null) emit('unpick', join.value, cause.value, times.value, why)
  isOpen.value = false
}

defineExpose({ open })
</script>

<template>
  <ElDialog v-model="isOpen" class="machine-dialog unpick" title="Unpick a seam" width="min(620px, 94vw)" align-center append-to-body destroy-on-close>
    <form @submit.prevent="unpick">
      <ChoiceField v-model="join" label="Which" :choices="named" @update:model-value="hasChosen = true" />
      <CountField v-if="most > 1" v-model="inBlocks" :label="join === 'here' ? `How many of the ${most} that are sewn` : `In how many of the ${blocks} blocks`" :max="most" />
      <ChoiceRadios v-model="cause" label="Why" :choices="causes" />
      <TextField v-if="cause === 'other'" v-model="reason" label="What it was" />
      <p v-if="!isSaved && join === null" class="cost" role="status">The last keys are being saved.</p>
      <p v-else-if="join === 'here'" class="cost" role="status">Opens {{ counted(times, 'seam') }} of this step and sews {{ times === 1 ? 'it' : 'them' }} again.</p>
      <p v-else-if="choices.length === 0">Nothing is sewn yet.</p>
      <p v-else-if="problem" class="warn" role="alert">{{ problem }}</p>
      <p v-else class="cost" role="status">
        <template v-if="cost">Opens {{ counted(cost.seams.length * times, 'seam') }} and sews {{ cost.seams.length * times === 1 ? 'it' : 'them' }} again: {{ cost.seams.join('; ') }}{{ times > 1 ? `, in ${times} blocks` : '' }}. {{ unitWords }} About {{ counted(Math.ceil(cost.minutes * times), 'minute') }}, {{ cost.isOwnPace ? 'at your own pace' : 'until your own pace is known' }}.</template>
        <template v-else>Working out what it costs</template>
      </p>
      <button v-if="cause === 'wrong-hand'" type="button" class="pile" :disabled="!isSaved" @click="((isOpen = false), emit('hands'))">A whole pile of them is of the wrong hand: the least work</button>
      <div class="deeds">
        <ElButton native-type="button" @click="isOpen = false">Leave it</ElButton>
        <ElButton native-type="submit" type="primary" :disabled="join === null || (join !== 'here' && cost === null)">Unpick</ElButton>
      </div>
    </form>
  </ElDialog>
</template>

<style scoped>
.pile {
  min-height: 44px;
}

.cost {
  min-height: 3em;
}
</style>
