<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import * as api from '@/api/client'
import type { TopJoinsShown, TopRulerShown } from '@/api/types'
import FoldedPart from '@/components/FoldedPart.vue'
import FractionText from '@/drawing/FractionText.vue'
import JoinSheet from '@/components/joins/JoinSheet.vue'

/** The long joins of a top, each with its ruler over all blocks. */
const props = defineProps<{ top: number; plan: unknown; units: string }>()

const joins = shallowRef<TopJoinsShown | null>(null)
const ruler = shallowRef<TopRulerShown | null>(null)
const chosen = ref<number | null>(null)
const isOpen = ref(false)
const wrong = ref('')

async function told(work: () => Promise<void>) {
  wrong.value = ''
  try {
    await work()
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error)
  }
}

const choose = (join: number) =>
  told(async () => {
    chosen.value = join
    ruler.value = await api.rulerOfTop(props.top, join)
  })
const look = () =>
  told(async () => {
    joins.value = await api.joinsOfTop(props.top)
    const first = joins.value.joins[0]
    ruler.value = null
    if (first) await choose(joins.value.joins.some((one) => one.id === chosen.value) ? (chosen.value ?? first.id) : first.id)
  })
function open(isNow: boolean) {
  isOpen.value = isNow
  if (isOpen.value) void look()
}
watch(() => props.plan, () => (isOpen.value ? look() : undefined))
</script>

<template>
  <FoldedPart class="top-joins" title="The long joins, with their rulers" :problem="wrong" @open="open">
    <p v-if="joins?.state === 'working'" class="soft">Plan the top first: where ridges meet follows from how it is pressed.</p>
    <template v-else-if="joins">
      <ElSelect :model-value="chosen ?? undefined" filterable aria-label="Which join" @update:model-value="choose($event)">
        <ElOption v-for="one in joins.joins" :key="one.id" :value="one.id" :label="`${one.title}: ${one.finished} ${units}, ${one.points} ${one.points === 1 ? 'point' : 'points'} to match`" />
      </ElSelect>
      <JoinSheet v-if="ruler?.join && ruler.face" :join="ruler.join" :face="ruler.face" :can-measure="false" />
    </template>
    <p v-else-if="!wrong" class="soft" role="status">Looking …</p>
    <p v-if="joins && joins.borders.length > 0">Then the borders, each cut to what the top really measures, pinned at the middles and the ends: <template v-for="(border, number) in joins.borders" :key="border.title">{{ number === 0 ? '' : '; ' }}{{ border.title }}, <FractionText :text="border.finished" /> {{ units }}</template>.</p>
  </FoldedPart>
</template>
