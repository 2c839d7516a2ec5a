<script setup lang="ts">
import { computed } from 'vue'
import { fractionParts } from './fractions'

const props = defineProps<{ text: string }>()

const parts = computed(() => fractionParts(props.text))
</script>

<template>
  <span class="number"><template v-for="(part, i) in parts" :key="i"><span v-if="part.includes('/')" class="fraction">{{ part }}</span><template v-else>{{ part.replace(/(\d)\s+$/, '$1\u2009') }}</template></template></span>
</template>
