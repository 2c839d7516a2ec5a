<script setup lang="ts">
import { computed, ref } from 'vue'
import { RouterLink } from 'vue-router'
import { tagBlock } from '@/api/client'
import type { ShelfBlock } from '@/api/types'
import TakeAlongButton from '@/components/along/TakeAlongButton.vue'
import CopyBlock from '@/components/CopyBlock.vue'
import StitchLine from '@/components/StitchLine.vue'
import FractionText from '@/drawing/FractionText.vue'
import { ago } from '@/drawing/shelf'
import { counted } from '@/drawing/words'
import TagsField from './TagsField.vue'

/** A block on the shelf. Its picture opens it where its work stopped. */
const props = defineProps<{ block: ShelfBlock; tagsInUse: string[]; now: number }>()
const emit = defineEmits<{ 'take-off': []; tagged: [tags: string[]]; copied: [block: ShelfBlock] }>()

const open = ref<'copy' | 'tags' | null>(null)
const toggle = (part: 'copy' | 'tags') => (open.value = open.value === part ? null : part)
const words = { wall: 'to lay it out', cut: 'at the cutting table', order: 'to choose its order', press: 'at the iron', machine: 'at the machine' }
const progress = computed(() => {
  const { stepsDone, stepsInAll } = props.block
  return stepsDone === 0 ? null : stepsInAll === null ? `${counted(stepsDone, 'step')} done` : stepsDone >= stepsInAll ? 'all sewn' : `${stepsDone} of ${counted(stepsInAll, 'step')} done`
})
</script>

<template>
  <li>
    <RouterLink v-tip="`Opens ${words[block.stoppedAt]}`" class="open" :to="{ name: block.stoppedAt, params: { block: block.id } }" :aria-label="`Open ${block.name}`">
      <img :src="block.picture" :alt="`${block.name}, face`" loading="lazy" width="300" :height="Math.round((300 * block.height) / block.width)" />
    </RouterLink>
    <div class="caption">
      <h2>{{ block.name }}</h2>
      <p class="soft"><FractionText :text="block.finished.join(' x ')" :units="block.unit" /> {{ block.unit }} finished, {{ counted(block.units, 'unit') }}</p>
      <p class="soft">
        <template v-if="progress">{{ progress }}, </template>touched {{ ago(block.touched, now) }}
        <StitchLine v-if="progress && block.stepsInAll" :done="block.stepsDone" :all="block.stepsInAll" :label="progress" />
      </p>
      <ul v-if="block.tags.length > 0" class="tags" :aria-label="`Tags of ${block.name}`">
        <li v-for="tag in block.tags" :key="tag">{{ tag }}</li>
      </ul>
    </div>
    <div class="deeds">
      <RouterLink class="link-button" :to="{ name: 'wall', params: { block: block.id } }">Lay out</RouterLink>
      <TakeAlongButton look="link" :thing="{ kind: 'blocks', id: block.id, name: block.name }" :aria-label="`Take along: ${block.name}`" />
      <button type="button" class="link-button" :aria-expanded="open === 'copy'" @click="toggle('copy')">Copy</button>
      <button type="button" class="link-button" :aria-expanded="open === 'tags'" @click="toggle('tags')">Tags</button>
      <button type="button" class="link-button" @click="emit('take-off')">Take off</button>
    </div>
    <CopyBlock v-if="open === 'copy'" :block="block" @keydown.esc="open = null" @made="emit('copied', $event)" @close="open = null" />
    <TagsField v-if="open === 'tags'" :name="block.name" :tags="block.tags" :used="tagsInUse" :keep="(tags) => tagBlock(block.id, tags)" @keydown.esc.capture="open = null" @kept="emit('tagged', $event)" />
  </li>
</template>

<style scoped>
li {
  display: grid;
  align-content: start;
  gap: 4px;
  /* Only what comes into view is laid out, or a thousand blocks take their time. */
  content-visibility: auto;
  contain-intrinsic-size: auto 440px;
}

.tags li {
  content-visibility: visible;
}
</style>
