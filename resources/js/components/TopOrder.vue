<script setup lang="ts">
import { ref, watch } from 'vue'
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/option/style/css'
import 'element-plus/es/components/select/style/css'
import * as api from '@/api/client'
import type { TopOrderShown, TopShown } from '@/api/types'
import FractionText from '@/drawing/FractionText.vue'

/** In which order a top is sewn together, with what that brings. */
const props = defineProps<{ top: TopShown }>()
const emit = defineEmits<{ changed: [TopShown]; problem: [string] }>()

const brings = ref<TopOrderShown | null>(null)

/** Says what went wrong; null then. */
function failed(error: unknown): null {
  emit('problem', error instanceof Error ? error.message : String(error))
  return null
}

async function choose(what: { order?: string; sashes?: string; chain?: string; preference?: string }) {
  const { order, sashes, chain } = props.top.sewing
  try {
    emit('changed', await api.sewTopBy(props.top.id, props.top.version, { order, sashes, chain, ...what }))
  } catch (error) {
    failed(error)
  }
}

watch(
  () => [props.top.version, props.top.sewing.order, props.top.sewing.sashes],
  async () => {
    brings.value = null
    const { order, chain, sashes } = props.top.sewing
    brings.value = await api.orderOfTop(props.top.id, chain === 'twos' ? 'twos' : order, props.top.fields.sashes === null ? 'between' : sashes).catch(failed)
  },
  { immediate: true },
)
</script>

<template>
  <section aria-labelledby="order-title">
    <h2 id="order-title">In which order is it sewn?</h2>
    <label class="line">Blocks
      <ElSelect :model-value="top.sewing.order" aria-label="In which order the blocks are sewn together" @update:model-value="choose({ order: $event })">
        <ElOption v-for="one in top.sewing.orders" :key="one.order" :value="one.order" :label="one.words" />
      </ElSelect>
    </label>
    <label v-if="top.fields.sashes" class="line">Sashes
      <ElSelect :model-value="top.sewing.sashes" aria-label="When the sashes are sewn" @update:model-value="choose({ sashes: $event })">
        <ElOption value="between" label="in rows of their own" />
        <ElOption value="first" label="to the blocks first" />
      </ElSelect>
    </label>
    <label v-if="top.sewing.order === 'rows'" class="line">At the machine
      <ElSelect :model-value="top.sewing.chain" aria-label="How the rows go through the machine" @update:model-value="choose({ chain: $event })">
        <ElOption value="row-by-row" label="row by row" />
        <ElOption value="webbed" label="webbed, all rows on one thread" />
      </ElSelect>
    </label>
    <label class="line">Units made by
      <ElSelect :model-value="top.sewing.preference" aria-label="How ways to make the units are weighed" @update:model-value="choose({ preference: $event })">
        <ElOption v-for="one in top.sewing.preferences" :key="one.preference" :value="one.preference" :label="one.words" />
      </ElSelect>
    </label>
    <p v-if="brings" class="soft" role="status">
      <template v-if="brings.problem">{{ brings.problem }}</template>
      <template v-else>{{ brings.matchPoints }} {{ brings.matchPoints === 1 ? 'point' : 'points' }} to match, the blocks’ own among them; longest join <FractionText :text="brings.longestJoin" /></template>
    </p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
}

.line {
  display: grid;
  grid-template-columns: 120px 1fr;
  align-items: center;
  gap: 8px;
  padding: 4px 0;
}
</style>
