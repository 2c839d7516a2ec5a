<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue'
import type { Thing } from '@/drawing/along'

/** Opens what a block or a top can be taken along as. */
defineOptions({ inheritAttrs: false })
withDefaults(defineProps<{ thing: Thing; look?: 'rail' | 'link' }>(), { look: 'rail' })
const TakeAlong = defineAsyncComponent(() => import('./TakeAlong.vue'))
const isOpen = ref(false)
const wasOpen = ref(false)
</script>

<template>
  <button type="button" :class="look === 'rail' ? 'rail-button' : 'link-button'" aria-haspopup="dialog" v-bind="$attrs" @click="((isOpen = true), (wasOpen = true))">
    <svg v-if="look === 'rail'" viewBox="0 0 20 20" aria-hidden="true"><path d="M10 2.5 V12 M6 6 L10 2.2 L14 6 M3 11 V17.5 H17 V11" /></svg><span>Take along</span>
  </button>
  <TakeAlong v-if="wasOpen" v-model="isOpen" :thing="thing" />
</template>
