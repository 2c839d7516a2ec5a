<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { AtSize, CuttingShown, LargestShown, PrecutShown } from '@/api/types'
import { ElInput } from 'element-plus/es/components/input/index'
import 'element-plus/es/components/input/style/css'
import TextField from '@/components/controls/TextField.vue'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import FractionText from '@/drawing/FractionText.vue'
import { counted } from '@/drawing/words'

/** Questions beside the cutting list: the inverse, other sizes, ready-cut fabric, a pattern's own list. */
const props = defineProps<{ cutting: CuttingShown }>()
const emit = defineEmits<{ problem: [text: string] }>()

const inch = props.cutting.face.units === 'in'
const [side, as, sizes, precut, list] = [ref(inch ? '5' : '125'), ref<'square' | 'strip'>('square'), ref(''), ref(inch ? '5 by 5' : '130 by 130'), ref('')]
const largest = shallowRef<LargestShown | null>(null)
const others = shallowRef<AtSize[]>([])
const ready = shallowRef<PrecutShown[] | null>(null)
const findings = shallowRef<string[] | null>(null)
const precuts = inch ? ['5 by 5', '10 by 10', '18 by 21'] : ['130 by 130', '255 by 255', '460 by 530']

// An answer about another list is no answer.
watch(
  () => props.cutting,
  () => {
    ;[largest.value, others.value, ready.value, findings.value] = [null, [], null, null]
  },
)

const name = (key: string) => props.cutting.face.fabrics.find((fabric) => fabric.key === key)?.name ?? key
const size = (pair: [string, string]) => (pair[0] === pair[1] ? pair[0] : pair.join(' x '))

async function told(work: () => Promise<void>) {
  try {
    await work()
  } catch (error) {
    emit('problem', error instanceof Error ? error.message : String(error))
  }
}

const askLargest = () => told(async () => void (largest.value = await api.largestFrom(props.cutting.block.id, side.value, as.value)))
const askSizes = () => told(async () => void (others.value = await api.atSizes(props.cutting.block.id, sizes.value)))
const askPrecut = () =>
  told(async () => {
    const [width = '', height = ''] = precut.value.split(' by ')
    ready.value = await api.fromPrecut(props.cutting.block.id, width, height)
  })
const askPattern = () => told(async () => void (findings.value = (await api.checkPattern(props.cutting.block.id, list.value)).findings))

async function pick(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file) {
    list.value = await file.text()
    await askPattern()
  }
  input.value = ''
}
</script>

<template>
  <section class="at-the-table" aria-label="Questions at the table">
    <details>
      <summary>How large from what I have?</summary>
      <form @submit.prevent="askLargest">
        <ChoiceField v-model="as" label="Cloth at hand" hides-label :choices="[{ value: 'square', words: 'squares of' }, { value: 'strip', words: 'strips of' }]" />
        <TextField v-model="side" field="size" label="Their size" hides-label size="short" :after="cutting.face.units" />
        <button type="submit" class="ask">Tell me</button>
      </form>
      <template v-if="largest">
        <p v-if="largest.finished === null">Nothing of this block can be cut from that.</p>
        <template v-else>
          <p>A block of <b><FractionText :text="size(largest.finished)" /></b> {{ cutting.face.units }} finished; units <template v-for="(unit, i) in largest.units" :key="unit.class"><template v-if="i > 0">, </template>{{ unit.name }} <FractionText :text="unit.unfinished" /></template> raw.</p>
          <p v-for="(piece, i) in largest.trim" :key="i" class="soft">Trim {{ name(piece.fabric) }} to <FractionText :text="piece.size" />: <FractionText :text="piece.off" /> off.</p>
        </template>
      </template>
    </details>
    <details>
      <summary>At other sizes</summary>
      <form @submit.prevent="askSizes"><TextField v-model="sizes" :placeholder="cutting.face.units === 'in' ? '6, 9, 15' : '150, 225, 375'" field="sizes" label="Finished widths, with commas" hides-label :after="cutting.face.units" /> <button type="submit" class="ask">Compare</button></form>
      <table v-if="others.length > 0">
        <thead><tr><th scope="col">finished</th><th scope="col">what is cut, and what the units measure raw</th></tr></thead>
        <tbody>
          <tr v-for="one in others" :key="one.finished.join()">
            <th scope="row"><FractionText :text="size(one.finished)" /><br /><span class="soft">{{ one.problem ? '' : one.isOnRuler ? 'on the ruler' : 'between marks' }}</span><template v-if="one.nearest.length > 0"><br /><span class="soft">cuts well: <FractionText :text="one.nearest.join(' or ')" /></span></template></th>
            <td><template v-if="one.problem">{{ one.problem }}</template><div v-for="piece in one.pieces" :key="piece.letter + piece.size">{{ name(piece.fabric) }}: {{ counted(piece.count, piece.shape) }} <b><FractionText :text="piece.size" /></b><template v-if="piece.then">, {{ piece.then }}</template></div><div v-for="unit in one.units" :key="unit.class" class="soft">{{ unit.count }} {{ unit.name }} ({{ unit.class }}): <FractionText :text="unit.unfinished" /> raw</div></td>
          </tr>
        </tbody>
      </table>
    </details>
    <details>
      <summary>From squares or quarters cut ready</summary>
      <form @submit.prevent="askPrecut"><ChoiceField v-model="precut" label="Size of the pieces" hides-label :choices="precuts.map((one) => ({ value: one, words: one }))" /> {{ cutting.face.units }} <button type="submit" class="ask">Count</button></form>
      <ul v-if="ready">
        <li v-for="one in ready" :key="one.fabric"><b>{{ one.needed }}</b> of {{ name(one.fabric) }}<template v-if="one.tooLarge.length > 0">; too small for {{ one.tooLarge.join(', ') }}</template></li>
      </ul>
    </details>
    <details>
      <summary>Check a pattern's list</summary>
      <p class="soft">One line a cut: fabric, size, count, and cut once or cut twice where it says so. For units: unit, U2, 4 or unit, U2 mirrored, 4.</p>
      <ElInput v-model="list" type="textarea" :rows="5" aria-label="The pattern's cutting list" :placeholder="`${cutting.face.fabrics[0]?.name}, ${cutting.face.units === 'in' ? '2 7/8' : '73'}, 6`" />
      <div class="row"><button type="button" class="ask" @click="askPattern">Compare</button><label class="link-button">or choose a CSV file<input type="file" accept=".csv,text/csv,text/plain" class="visually-hidden" @change="pick" /></label></div>
      <p v-if="findings && findings.length === 0" role="status">Everything that is needed is on it, and nothing else.</p>
      <ul v-else-if="findings" role="status">
        <li v-for="finding in findings" :key="finding" class="warn">{{ finding }}</li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
.at-the-table {
  padding-top: 18px;
}

details {
  border-top: 1px solid var(--hair);
}

form,
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding-bottom: 8px;
}

input {
  width: 90px;
}

.wide {
  flex: 1;
  min-width: 120px;
}

th,
td {
  padding: 4px 10px 4px 0;
  border-top: 1px solid var(--hair);
  text-align: left;
  vertical-align: top;
  font-weight: 400;
}
</style>
