<script setup lang="ts">
import type { Drawing } from './glossary'

/** A small picture of a word of the trade: light and dark cloth, thread for what matters. */
defineProps<{ of: Drawing }>()
</script>

<template>
  <svg class="word-drawing" viewBox="0 0 96 64" aria-hidden="true">
    <template v-if="of === 'half-square-triangle'"><path class="dark" d="M16 0H80L16 64Z" /><path class="light" d="M80 0V64H16Z" /></template>
    <template v-else-if="of === 'quarter-square-triangle'"><path class="light" d="M16 0H80V64H16Z" /><path class="dark" d="M16 0H80L48 32ZM16 64H80L48 32Z" /></template>
    <template v-else-if="of === 'flying-geese'"><path class="light" d="M0 8H96V56H0Z" /><path class="dark" d="M0 56H96L48 8Z" /></template>
    <template v-else-if="of === 'square-in-square'"><path class="light" d="M16 0H80V64H16Z" /><path class="dark" d="M48 0L80 32L48 64L16 32Z" /></template>
    <template v-else-if="of === 'hands'"><path class="light" d="M2 12H42V52H2ZM54 12H94V52H54Z" /><path class="dark" d="M2 12V52H42ZM22 32L42 12V52ZM94 12V52H54ZM74 32L54 12V52Z" /><path class="thread" d="M48 4V60" stroke-dasharray="4 4" /></template>
    <template v-else-if="of === 'turn'"><path class="light" d="M2 12H42V52H2ZM54 12H94V52H54Z" /><path class="dark" d="M2 12H42L2 52ZM54 12H94V52Z" /><path class="thread" d="M40 6A16 10 0 0 1 58 6M58 6L53 1M58 6L52 9" /></template>
    <template v-else-if="of === 'nested'"><path class="cloth" d="M0 20H44V30H0M96 44H52V34H96" /><path class="thread" d="M0 20H50V30M96 44H46V34" /></template>
    <template v-else-if="of === 'stacked'"><path class="cloth" d="M0 14H44V22H0ZM0 34H44V42H0Z" /><path class="thread" d="M96 12H44V24H30M96 32H44V44H30" /></template>
    <template v-else-if="of === 'lopsided'"><path class="cloth" d="M30 14H66V22H30Z" /><path class="thread" d="M0 12H46V24H30M96 12H50V24H66M96 36H44V48H30" /></template>
    <template v-else-if="of === 'flat' || of === 'open'"><path class="cloth" d="M30 24H66V32H30Z" /><path class="thread" d="M0 22H46V34H30M96 22H50V34H66" /></template>
    <template v-else-if="of === 'to-a-side' || of === 'folded'"><path class="cloth" d="M52 30H78V38H52Z" /><path class="thread" d="M0 22H48V34H78M96 22H52V28H76V40H52" /></template>
    <template v-else-if="of === 'furl'"><path class="light" d="M16 0H80V64H16Z" /><path class="dark" d="M16 0H48V32H16ZM48 32H80V64H48Z" /><path class="cloth" d="M48 6V32H60V6ZM74 32H48V44H74ZM48 58V32H36V58ZM22 32H48V20H22Z" /><path class="thread" d="M56 20A14 14 0 0 1 60 38M60 38L55 33M60 38L66 34" /></template>
    <template v-else-if="of === 'lump'"><path class="thread" d="M0 52H34C40 52 40 22 48 22C56 22 56 52 62 52H96" /><path class="thread thin" d="M34 58H62M38 46H58M42 38H54M44 30H52" /></template>
    <template v-else-if="of === 'shadow'"><path class="light" d="M0 8H48V56H0Z" /><path class="dark" d="M48 8H96V56H48Z" /><path class="dark faint" d="M34 8H48V56H34Z" /></template>
    <template v-else-if="of === 'tip'"><path class="light" d="M8 8H88V56H8Z" /><path class="dark" d="M8 56L48 20L88 56Z" /><path class="thread" d="M4 20H92" stroke-dasharray="6 4" /></template>
    <template v-else-if="of === 'match'"><path class="light" d="M0 4H96V60H0Z" /><path class="dark" d="M24 4H56V32H24ZM0 32H24V60H0ZM56 32H96V60H56Z" /><path class="thread" d="M0 32H96" stroke-dasharray="6 4" /><circle class="ring" cx="24" cy="32" r="6" /><circle class="ring" cx="56" cy="32" r="6" /></template>
    <template v-else-if="of === 'bias'"><path class="light" d="M16 2H76V62H16Z" /><path class="thread thin" d="M26 2V62M36 2V62M46 2V62M56 2V62M66 2V62M16 12H76M16 22H76M16 32H76M16 42H76M16 52H76" /><path class="thread" d="M16 62L76 2" /></template>
    <template v-else-if="of === 'dog-ear'"><path class="dark" d="M18 8H78L18 60Z" /><path class="light" d="M78 8V60H18Z" /><path class="ear" d="M78 8L90 2L84 14ZM18 60L6 66L12 54Z" /></template>
    <template v-else-if="of === 'chain'"><path class="light" d="M4 20H24V44H4ZM38 20H58V44H38ZM72 20H92V44H72Z" /><path class="dark" d="M4 20H24L4 44ZM38 20H58L38 44ZM72 20H92L72 44Z" /><path class="thread" d="M0 32H96" stroke-dasharray="5 3" /></template>
    <template v-else-if="of === 'on-point'"><path class="light" d="M16 0H80V64H16Z" /><path class="dark" d="M32 0L48 16L32 32L16 16ZM64 0L80 16L64 32L48 16ZM32 32L48 48L32 64L16 48ZM64 32L80 48L64 64L48 48Z" /></template>
    <template v-else-if="of === 'sashes'"><path class="dark" d="M18 2H44V28H18ZM52 2H78V28H52ZM18 36H44V62H18ZM52 36H78V62H52Z" /><path class="light" d="M44 2H52V62H44ZM18 28H78V36H18Z" /><path class="ear" d="M44 28H52V36H44Z" /></template>
    <template v-else-if="of === 'raw'"><path class="light" d="M14 4H82V60H14Z" /><path class="dark" d="M24 12H72V52H24Z" /><path class="thread" d="M24 12H72V52H24Z" stroke-dasharray="5 4" /></template>
  </svg>
</template>

<style scoped>
.word-drawing {
  display: block;
  width: 96px;
  overflow: visible;
}

.dark {
  fill: #3f6f8c;
}

.light {
  fill: #efe7d8;
  stroke: #b9ab90;
  stroke-width: 0.8;
}

.faint {
  opacity: 0.35;
}

.cloth {
  fill: #efe7d8;
}

.ear {
  fill: var(--brick);
}

.thread,
.ring {
  fill: none;
  stroke: var(--thread);
  stroke-width: 2.6;
}

.thin {
  stroke-width: 1;
}
</style>
