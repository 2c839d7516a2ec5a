<script setup lang="ts">
import { computed } from 'vue'

const props = defineProps<{ text: string }>()

/** Splits "12 1/2" so that only the fraction is set as one. */
const parts = computed(() => props.text.split(/(\d+\/\d+)/).filter((part) => part !== ''))
</script>

<template>
  <span class="number"><template v-for="(part, i) in parts" :key="i"><span v-if="part.includes('/')" class="fraction">{{ part }}</span><template v-else>{{ part.replace(/\s+$/, '\u2009') }}</template></template></span>
</template>
