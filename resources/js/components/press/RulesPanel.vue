<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { FabricShown, JoinShown, RowTold, RulePriced, RuleSubject, RuleTold } from '@/api/types'
import CheckField from '@/components/controls/CheckField.vue'
import ChoiceField from '@/components/controls/ChoiceField.vue'

/** Pressing in sentences: point at rows, last seams, a kind of unit or the unit looked at, then say the way with one key. */
const props = defineProps<{ block: number; plan: string; rows: RowTold[]; subjects: RuleSubject[]; rules: RuleTold[]; fabrics: FabricShown[]; seam: JoinShown | null; isBusy: boolean }>()
const emit = defineEmits<{ keep: [rules: { text: string; on: boolean }[]]; point: [joins: number[]] }>()

interface Pointed {
  /** What a rule begins with; with % where the way goes in one for a single row. */
  say: string
  words: string
  joins: number[]
}

const pointed = shallowRef<Pointed | null>(null)
const said = ref<string[]>([])
const priced = shallowRef<RulePriced | null>(null)
const refusal = ref<string | null>(null)

const cell = computed<Pointed | null>(() => {
  const place = props.seam?.cell
  return place ? { say: `cell ${place[0]},${place[1]}`, words: `The unit at row ${place[0]}, column ${place[1]}, and its likes`, joins: props.seam?.pile ?? [] } : null
})
const choices = computed<Pointed[]>(() => [...props.subjects.map(({ subject, words, joins }) => ({ say: subject, words, joins })), ...(cell.value ? [cell.value] : [])])

const isSingle = computed(() => pointed.value?.say.includes('%') ?? false)
const goesByBands = computed(() => pointed.value?.say === 'rows' || pointed.value?.say === 'columns')
const ways = computed(() => {
  const say = pointed.value?.say ?? ''
  const sides = [
    { word: 'out', key: 'o', label: 'Out' },
    { word: 'in', key: 'i', label: 'In' },
    { word: 'left', key: 'ArrowLeft', label: 'Left', sign: '←' },
    { word: 'right', key: 'ArrowRight', label: 'Right', sign: '→' },
    { word: 'up', key: 'ArrowUp', label: 'Up', sign: '↑' },
    { word: 'down', key: 'ArrowDown', label: 'Down', sign: '↓' },
  ]
  const level = say.startsWith('columns') || (say === 'last' && !props.subjects.some((one) => one.subject === 'columns'))
  const fitting = say.startsWith('units') || say.startsWith('cell') ? [] : sides.filter((side) => !['up', 'down', 'left', 'right'].includes(side.word) || (level ? ['up', 'down'] : ['left', 'right']).includes(side.word))
  return [
    ...fitting,
    { word: 'open', key: 'p', label: 'Open' },
    { word: 'dark', key: 'd', label: 'To the dark' },
    { word: 'light', key: 'l', label: 'To the light' },
  ]
})
const text = computed(() => {
  if (pointed.value === null || said.value.length === 0) return null
  return isSingle.value ? pointed.value.say.replace('%', said.value.join(' ')) : `${pointed.value.say}: ${said.value.join(' ')}`
})

function point(at: Pointed) {
  pointed.value = pointed.value?.say === at.say ? null : at
  said.value = []
  emit('point', pointed.value?.joins ?? [])
}

function say(word: string) {
  // Only bands take several words in turn.
  said.value = goesByBands.value && !word.includes(' ') && !said.value.some((one) => one.includes(' ')) ? [...said.value, word] : [word]
}

function drop() {
  pointed.value = null
  said.value = []
  emit('point', [])
}

function take() {
  const rule = priced.value?.rule
  if (rule === undefined || props.isBusy) return
  emit('keep', [...told().filter((one) => one.text !== rule), { text: rule, on: true }])
  drop()
}

const told = () => props.rules.map(({ text: rule, on }) => ({ text: rule, on }))

function change(at: number, how: 'switch' | 'earlier' | 'later' | 'remove') {
  const list = told()
  const [rule] = list.splice(at, 1)
  if (rule === undefined) return
  if (how === 'switch') list.splice(at, 0, { ...rule, on: !rule.on })
  else if (how !== 'remove') list.splice(at + (how === 'later' ? 1 : -1), 0, rule)
  emit('keep', list)
}

watch([text, () => props.plan], async ([rule]) => {
  priced.value = null
  refusal.value = null
  if (rule === null) return
  try {
    const answer = await api.priceRule(props.block, rule)
    if (text.value === rule) priced.value = answer
  } catch (error) {
    if (text.value === rule) refusal.value = error instanceof Error ? error.message : String(error)
  }
})

function onKey(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || event.altKey || pointed.value === null || (event.target instanceof HTMLElement && event.target.tagName === 'SELECT')) return
  const way = ways.value.find((one) => one.key === event.key)
  const onButton = event.target instanceof HTMLElement && event.target.closest('button') !== null
  if (way) say(way.word)
  else if (event.key === 'Backspace') said.value = said.value.slice(0, -1)
  else if (event.key === 'Escape') drop()
  else if (event.key === 'Enter' && !(onButton && priced.value === null)) take()
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <section class="rules side-panel" aria-label="Pressing in words" @keydown="onKey">
    <template v-if="rows.length > 0">
      <h2>As it lies now</h2>
      <ul class="rows">
        <li v-for="row in rows" :key="row.title">
          <button type="button" class="row" :aria-pressed="pointed?.say === row.say" @click="point({ say: row.say, words: row.title, joins: row.joins })">
            <b>{{ row.title }}</b> {{ row.way }}<template v-if="row.why">, {{ row.why }}</template>
          </button>
        </li>
      </ul>
    </template>
    <h2>Say how to press</h2>
    <p class="soft">Point at a row above, or at one of these, then say the way.</p>
    <div class="chips" role="group" aria-label="What to press">
      <button v-for="choice in choices" :key="choice.say" type="button" class="chip pick-card" :data-subject="choice.say" :aria-pressed="pointed?.say === choice.say" @click="point(choice)">{{ choice.words }}</button>
    </div>
    <div v-if="pointed" class="saying">
      <p><b>{{ pointed.words }}:</b> {{ said.length > 0 ? said.join(', ') : goesByBands ? 'one way for all, or a way for each in turn' : '' }}</p>
      <div class="chips" role="group" aria-label="Which way">
        <button v-for="way in ways" :key="way.word" type="button" class="chip way pick-card" :data-say="way.word" @click="say(way.word)">{{ way.label }} <kbd>{{ 'sign' in way ? way.sign : way.key.toUpperCase() }}</kbd></button>
      </div>
      <div v-for="how in isSingle ? [] : ['toward', 'away from']" :key="how" class="fabric">
        <span aria-hidden="true">{{ how === 'toward' ? 'Toward' : 'Away from' }}</span>
        <ChoiceField :model-value="said[0]?.startsWith(`${how} `) ? said[0].slice(how.length + 1) : null" :label="how === 'toward' ? 'Toward which fabric' : 'Away from which fabric'" hides-label placeholder="a fabric" :choices="fabrics.map((fabric) => ({ value: fabric.key, words: fabric.name }))" @update:model-value="say(`${how} ${$event}`)" />
      </div>
      <p v-if="refusal" class="refusal" role="alert">{{ refusal }}</p>
      <div v-else-if="priced" class="price" role="status">
        <p><b>{{ priced.words }}</b> ({{ priced.joins.length }} {{ priced.joins.length === 1 ? 'seam' : 'seams' }})</p>
        <p>Beside what you have now: {{ priced.besideNow }}.</p>
        <p class="soft">Beside the planner's: {{ priced.besidePlanned }}.</p>
        <div class="chips">
          <button type="button" class="chip main pick-card" :disabled="isBusy" @click="take">Take it <kbd>Enter</kbd></button>
          <button type="button" class="chip pick-card" @click="drop">Leave it <kbd>Esc</kbd></button>
        </div>
      </div>
      <p v-else-if="text" class="soft" role="status">Pressing it so</p>
    </div>
    <template v-if="rules.length > 0">
      <h2>Your rules</h2>
      <p v-if="rules.length > 1" class="soft">Later ones win over earlier ones, a seam you press yourself over all.</p>
      <ol class="list">
        <li v-for="(rule, i) in rules" :key="rule.text" :class="{ off: !rule.on }" :data-rule="rule.text">
          <CheckField class="switch" :model-value="rule.on" :disabled="isBusy" @update:model-value="change(i, 'switch')">{{ rule.words }}</CheckField>
          <span class="acts">
            <button type="button" class="act" :disabled="i === 0 || isBusy" :aria-label="`Earlier: ${rule.words}`" @click="change(i, 'earlier')">↑</button>
            <button type="button" class="act" :disabled="i === rules.length - 1 || isBusy" :aria-label="`Later: ${rule.words}`" @click="change(i, 'later')">↓</button>
            <button type="button" class="act" :disabled="isBusy" :aria-label="`Take away: ${rule.words}`" @click="change(i, 'remove')">×</button>
          </span>
          <p v-if="rule.problem" class="refusal">{{ rule.problem }}</p>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.rows {
  margin: 6px 0;
}

.row {
  display: block;
  width: 100%;
  min-height: 40px;
  padding: 6px 10px;
  border: 1px solid transparent;
  border-radius: 8px;
  background: none;
  text-align: left;
  cursor: pointer;
}

.row:hover {
  border-color: var(--thread);
}

.row[aria-pressed='true'],
.chip[aria-pressed='true'] {
  border: 2px solid var(--thread);
  background: var(--thread-pale);
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 6px 0;
}

.chip {
  min-height: 44px;
  padding: 6px 12px;
}

.chip.main {
  border-color: var(--thread);
  background: var(--thread);
  color: #fff;
}

.chip kbd {
  font-size: 13px;
}

.chip.main kbd {
  color: var(--ink);
}

.fabric {
  display: grid;
  grid-template-columns: 90px 1fr;
  align-items: center;
  gap: 8px;
  min-height: 48px;
}

.saying {
  padding: 8px 0 4px;
}

.refusal {
  color: var(--brick);
}

.list {
  padding: 4px 0 0;
  list-style: none;
}

.list li {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  border-top: 1px solid var(--hair);
}

.list .refusal {
  grid-column: span 2;
  padding-bottom: 6px;
  font-size: 15px;
}

.switch {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}

.off .switch span {
  color: var(--soft);
  text-decoration: line-through;
}

.act {
  width: 32px;
  min-height: 44px;
  border: 0;
  background: none;
  font-size: 18px;
  cursor: pointer;
}

.act:disabled {
  color: var(--hair);
  cursor: default;
}
</style>
