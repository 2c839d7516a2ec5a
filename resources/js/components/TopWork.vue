<script setup lang="ts">
import { onUnmounted, ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { FabricShown, TopCuttingShown, TopStepsShown } from '@/api/types'
import FoldedPart from '@/components/FoldedPart.vue'
import FractionText from '@/drawing/FractionText.vue'

/** What is cut for a top and what there is to do; each is asked for when it is opened. */
const props = defineProps<{ top: number; version: number; units: string; fabrics: FabricShown[] }>()

/** Milliseconds until steps are asked for again whose plan is still being worked out. */
const AGAIN = 1500

const cutting = shallowRef<TopCuttingShown | null>(null)
const steps = shallowRef<TopStepsShown | null>(null)
const opened = ref({ cutting: false, steps: false })
const problem = ref('')
let timer: ReturnType<typeof setTimeout> | undefined

async function look() {
  clearTimeout(timer)
  problem.value = ''
  try {
    if (opened.value.cutting) cutting.value ??= await api.cuttingOfTop(props.top)
    if (opened.value.steps && (steps.value === null || steps.value.state === 'working')) {
      steps.value = await api.stepsOfTop(props.top)
      if (steps.value.state === 'working') timer = setTimeout(look, AGAIN)
    }
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}

function open(what: 'cutting' | 'steps', isOpen: boolean) {
  opened.value[what] = isOpen
  void look()
}

watch(() => props.version, () => {
  cutting.value = steps.value = null
  void look()
})
onUnmounted(() => clearTimeout(timer))

const name = (key: string) => props.fabrics.find((fabric) => fabric.key === key)?.name ?? key
const colour = (key: string) => props.fabrics.find((fabric) => fabric.key === key)?.color
</script>

<template>
  <div class="top-work">
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <FoldedPart title="Cloth and cutting" @open="open('cutting', $event)">
      <template v-if="cutting">
        <h3>Made for all blocks together</h3>
        <ul>
          <li v-for="way in cutting.ways" :key="way.words"><FractionText :text="way.words" /><template v-if="way.spare > 0">; {{ way.spare }} left over</template></li>
        </ul>
        <h3>To buy, for everything together</h3>
        <ul class="cloth">
          <li v-for="one in cutting.cloth" :key="one.fabric"><i :style="{ background: colour(one.fabric) }" /> {{ name(one.fabric) }}: <FractionText :text="one.length" /> {{ units }} of cloth <FractionText :text="one.width" /> {{ units }} wide</li>
        </ul>
        <h3>To cut</h3>
        <ul class="cuts">
          <li v-for="one in cutting.cuts" :key="one.stack">
            <b>{{ one.stack }}</b> <i :style="{ background: colour(one.fabric) }" /> {{ name(one.fabric) }}: {{ one.count }} {{ one.shape }} <FractionText :text="one.size.join(' x ')" /> {{ units }}<template v-if="one.then">, {{ one.then }}</template>
            <span class="soft"> for {{ one.for.join(', ') }}</span>
          </li>
        </ul>
      </template>
      <p v-else class="soft" role="status">Working it out …</p>
    </FoldedPart>
    <FoldedPart title="Everything there is to do" @open="open('steps', $event)">
      <ol v-if="steps?.state === 'done'" class="steps">
        <li v-for="(step, number) in steps.steps" :key="number"><b>{{ step.title }}.</b> <FractionText :text="step.text" /></li>
      </ol>
      <p v-else class="soft" role="status">Working out the plan first …</p>
    </FoldedPart>
  </div>
</template>

<style scoped>
h3 {
  padding: 6px 0;
  font-size: 17px;
}

li {
  padding: 3px 0;
}

i {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 1px solid var(--ink);
  vertical-align: -2px;
}

.steps {
  padding-left: 28px;
}

.wrong {
  color: var(--brick);
}
</style>
