<script setup lang="ts">
import { ref, watch } from 'vue'
import type { DrawingShown, WallCell } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import FractionText from '@/drawing/FractionText.vue'
import { counted } from '@/drawing/words'

/** Beside the drawing board: what it comes to, what can be done, and its name. */
const props = defineProps<{ drawing: DrawingShown; units: string; cell: WallCell | null; isThrough: boolean; canSewBack: boolean; begun: boolean }>()
const emit = defineEmits<{ close: []; through: []; sewBack: []; start: [start: 'whole' | 'halves']; name: [name: string]; keep: [name: string]; cut: [from: [string, string], to: [string, string]] }>()

const name = ref('')
watch(() => props.cell?.label, (label) => (name.value = label ?? ''), { immediate: true })

const typed = ref<[string, string, string, string]>(['0', '1', '1', '0'])
</script>

<template>
  <section class="drawing-panel" aria-label="Draw the unit">
    <button type="button" class="link-button back" @click="emit('close')"><span>Back to the wall</span> <kbd>Esc</kbd></button>
    <h2>{{ cell?.label ?? `Row ${drawing.row}, column ${drawing.column}` }}</h2>
    <p class="soft"><FractionText :text="drawing.size[0] === drawing.size[1] ? drawing.size[0] : drawing.size.join(' x ')" /> {{ units }} finished · {{ counted(drawing.patches.length, 'patch', 'patches') }}</p>
    <p v-if="drawing.problem" class="warn" role="status">{{ drawing.problem }}</p>
    <p v-else-if="drawing.seams.length > 0" role="status">{{ drawing.seams.length === 1 ? 'One seam sews it.' : `Sewn in the order of the numbers, ${drawing.seams.length} seams.` }}</p>
    <p v-else role="status">One patch. {{ begun ? 'Now the mark where the cut ends.' : 'Choose a mark, then the mark to cut to; or drag from one to the other.' }}</p>
    <div class="deeds">
      <button type="button" class="tool" :aria-pressed="isThrough" @click="emit('through')">Cut through everything <kbd>X</kbd></button>
      <button type="button" class="tool" :disabled="!canSewBack" @click="emit('sewBack')">Sew two patches into one <kbd>J</kbd></button>
    </div>
    <p class="soft">A patch is chosen by a click on it; a digit gives what is chosen the fabric of that number.</p>
    <form class="typed" aria-label="Cut by numbers" @submit.prevent="emit('cut', [typed[0], typed[1]], [typed[2], typed[3]])">
      <h3>By numbers</h3>
      <p class="soft">Shares of the width from the left, and of the height from the top: 1/3, 0.4</p>
      <div><span>from</span> <TextField v-model="typed[0]" label="From, across" hides-label size="short" /> <TextField v-model="typed[1]" label="From, down" hides-label size="short" /></div>
      <div><span>to</span> <TextField v-model="typed[2]" label="To, across" hides-label size="short" /> <TextField v-model="typed[3]" label="To, down" hides-label size="short" /></div>
      <button type="submit" class="tool">Cut</button>
    </form>
    <div class="again">
      <span class="soft">Begin again with</span>
      <button type="button" class="link-button" @click="emit('start', 'whole')">one patch</button>
      <button type="button" class="link-button" @click="emit('start', 'halves')">two halves</button>
    </div>
    <form class="name" aria-label="Name of the unit" @submit.prevent="emit('name', name.trim())">
      <TextField v-model="name" label="What you call it" :maxlength="60" />
      <div class="deeds">
        <button type="submit" class="tool">Name it</button>
        <button type="button" class="tool" :disabled="name.trim() === ''" @click="emit('keep', name.trim())">Keep in my tray</button>
      </div>
    </form>
  </section>
</template>

<style scoped>
.drawing-panel {
  display: grid;
  gap: 10px;
}

.back {
  gap: 10px;
}

h3 {
  font-size: 17px;
}

.warn {
  padding-left: 12px;
  border-left: 4px solid var(--brick);
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.tool {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid var(--hair);
  border-radius: 6px;
  background: var(--paper);
  cursor: pointer;
}

.tool:hover {
  background: var(--thread-pale);
}

.tool:disabled {
  color: #6f7880;
  cursor: default;
}

.tool[aria-pressed='true'] {
  background: var(--thread);
  color: #fff;
}

.tool[aria-pressed='true'] kbd {
  border-color: #ffffff80;
  background: none;
}

.typed {
  display: grid;
  gap: 6px;
}

.typed div {
  display: flex;
  align-items: center;
  gap: 8px;
}

.typed span {
  width: 40px;
}

.again {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}

.name {
  display: grid;
  gap: 8px;
}
</style>
