<script setup lang="ts">
import { computed } from 'vue'
import { useUnits, type Units } from '@/composables/useUnits'
import { asOnRuler, fractionParts } from './fractions'

/** Units only where they are others than those of the screen. */
const props = defineProps<{ text: string; units?: Units }>()

const screen = useUnits()
const parts = computed(() => fractionParts(asOnRuler(props.text, props.units ?? screen.value)))
</script>

<template>
  <span class="number"><template v-for="(part, i) in parts" :key="i"><span v-if="part.includes('/')" class="fraction">{{ part }}</span><template v-else>{{ part.replace(/(\d)\s+$/, '$1\u2009') }}</template></template></span>
</template>
