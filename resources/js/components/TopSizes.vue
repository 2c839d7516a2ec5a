<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { TopPlaceShown, TopSizesShown } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import FoldedPart from '@/components/FoldedPart.vue'
import { asTyped } from '@/drawing/fractions'
import FractionText from '@/drawing/FractionText.vue'

/** Blocks that came out at other sizes, what can be done, and which of them change places. */
const props = defineProps<{ top: number; version: number; units: 'in' | 'mm'; place: TopPlaceShown | null }>()

const sizes = shallowRef<TopSizesShown | null>(null)
const isOpen = ref(false)
const wrong = ref('')
const along = ref('')
const beside = ref('')
const made = computed(() => sizes.value?.made.find((one) => one.row === props.place?.row && one.column === props.place.column))

async function told(asked: () => Promise<TopSizesShown>) {
  wrong.value = ''
  try {
    sizes.value = await asked()
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error)
  }
}

const look = () => (isOpen.value ? told(() => api.sizesOfTop(props.top)) : undefined)
function open(isNow: boolean) {
  isOpen.value = isNow
  void look()
}
watch(() => props.version, look)
watch([() => props.place, sizes], () => {
  ;[along.value, beside.value] = [made.value?.size[0] ?? '', made.value?.size[1] ?? '']
})

const { top } = props
const say = (block: { row: string; column: string }, one: string, other: string) => told(() => api.blockCameOut(top, { row: block.row, column: block.column, along: one, beside: other }))
const named = (place: { row: string; column: string }) => `row ${place.row}, column ${place.column}`
</script>

<template>
  <FoldedPart class="top-sizes" title="Blocks that came out otherwise" @open="open">
    <template v-if="sizes">
      <p>Every block should measure <FractionText :text="sizes.planned.join(' x ')" /> {{ units }} from raw edge to raw edge.</p>
      <form v-if="place?.block" @submit.prevent="say(place, along, beside)">
        <p>The one in {{ named(place) }} measures</p>
        <template v-for="(edge, number) in sizes.edges" :key="edge">
          <TextField v-if="number === 0" v-model="along" :label="edge" size="short" :placeholder="asTyped(sizes.planned[0] ?? '', units)" :after="units" />
          <TextField v-else v-model="beside" :label="edge" size="short" :placeholder="asTyped(sizes.planned[1] ?? '', units)" :after="units" />
        </template>
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
        <ElButton native-type="submit">Keep it</ElButton>
      </form>
      <p v-else class="soft">Choose a block in the picture, then say what it measures.</p>
      <ul v-if="sizes.made.length > 0">
        <li v-for="one in sizes.made" :key="named(one)">{{ named(one) }}: <FractionText :text="one.size.join(' x ')" /> {{ units }} <button type="button" class="link-button" @click="say(one, '', '')">It is as planned</button></li>
      </ul>
      <p v-for="sentence in sizes.sentences" :key="sentence" role="status"><FractionText :text="sentence" /></p>
      <template v-if="sizes.swaps.length > 0">
        <p><b>Or let blocks change places,</b> so that small ones stand beside small ones:</p>
        <ol>
          <li v-for="swap in sizes.swaps" :key="`${named(swap.one)} ${named(swap.other)}`">{{ named(swap.one) }} with {{ named(swap.other) }}</li>
        </ol>
        <p v-if="sizes.afterSwaps">Then: <FractionText :text="sizes.afterSwaps" /></p>
      </template>
    </template>
    <p v-else-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <p v-else class="soft" role="status">Looking …</p>
  </FoldedPart>
</template>

<style scoped>
label {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}

p,
li {
  padding: 3px 0;
}

.short {
  width: 96px;
  min-height: 40px;
  padding: 4px 8px;
  font: inherit;
}

.wrong {
  color: var(--brick);
}
</style>
