<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { AskedByTop, LockAsked } from '@/api/types'
import { counted } from '@/drawing/words'

/** What the tops in which the block lies ask of the seams that end at its edge. */
const props = defineProps<{ block: number; plan: string; isBusy: boolean }>()
const emit = defineEmits<{ lock: [locks: LockAsked[]]; point: [joins: number[]] }>()

const tops = shallowRef<AskedByTop[]>([])
watch(
  () => [props.block, props.plan],
  async () => {
    tops.value = await api.askedByTops(props.block).catch(() => [])
  },
  { immediate: true },
)

const others = (pile: AskedByTop['piles'][number]) => pile.seams.filter((seam) => seam.differs)
const take = (pile: AskedByTop['piles'][number]) => emit('lock', others(pile).map(({ join, directions }) => ({ join, directions })))
</script>

<template>
  <section v-for="one in tops" :key="one.top.id" class="asked" :aria-label="`In the top ${one.top.name}`">
    <h3>In <RouterLink :to="{ name: 'top', params: { top: one.top.id } }">{{ one.top.name }}</RouterLink></h3>
    <p v-if="!one.isCurrent" class="soft">The top has this block as it was before its last change.</p>
    <p v-if="!one.isPlanned" class="soft">Plan the top, and it tells here what its outer seams should do.</p>
    <template v-for="pile in one.piles" :key="`${pile.pile} ${pile.mirrored}`">
      <p>
        {{ pile.count }} of it{{ pile.mirrored ? ', mirrored' : '' }}{{ one.piles.length > 1 ? `, pile ${pile.pile}` : '' }}:
        <template v-if="others(pile).length === 0">its outer seams lie as the top asks.</template>
        <template v-else>{{ counted(others(pile).length, 'outer seam lies', 'outer seams lie') }} otherwise here than the top asks.</template>
      </p>
      <ElButton v-if="others(pile).length > 0 && !pile.mirrored" :disabled="isBusy" @click="take(pile)" @mouseenter="emit('point', others(pile).map((seam) => seam.join))" @mouseleave="emit('point', [])" @focus="emit('point', others(pile).map((seam) => seam.join))" @blur="emit('point', [])">Press {{ others(pile).length === 1 ? 'it' : 'them' }} as the top asks</ElButton>
    </template>
  </section>
</template>

<style scoped>
.asked {
  padding: 8px 0;
}

h3 {
  font-size: 17px;
}
</style>
