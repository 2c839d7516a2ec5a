<script setup lang="ts">
import { computed, shallowRef, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import * as api from '@/api/client'
import type { LogbookShown } from '@/api/types'
import SettingsButton from '@/components/settings/SettingsButton.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import BarChart from '@/drawing/BarChart.vue'
import { duration } from '@/drawing/duration'
import FractionText from '@/drawing/FractionText.vue'
import TakeUpChart from '@/drawing/TakeUpChart.vue'
import { counted } from '@/drawing/words'

/** Of one block, or of all. */
const props = defineProps<{ block: number | null }>()

const book = shallowRef<LogbookShown | null>(null)
useScreenTitle(() => (book.value === null ? null : `Logbook${book.value.block ? `, ${book.value.block.name}` : ''}`))
const problem = ref('')

watch(
  () => props.block,
  async (block) => {
    book.value = null
    const answer = await api.logbook(block).catch((error: Error) => {
      problem.value = error.message
      return null
    })
    if (block === props.block) book.value = answer
  },
  { immediate: true },
)

const isEmpty = computed(() => book.value !== null && book.value.time.length === 0 && book.value.seamsSewn === 0 && book.value.unpicks.length === 0 && book.value.takeUps.length === 0 && book.value.sizes.length === 0 && book.value.looking.taken === 0)
const all = computed(() => book.value?.time.reduce((sum, one) => sum + one.seconds, 0) ?? 0)
const time = computed(() => (book.value?.time ?? []).map((one) => ({ name: one.place, amount: one.seconds, words: duration(one.seconds) })))
const made = computed(() => (book.value?.made ?? []).map((one) => ({ name: one.name, amount: one.count, words: String(one.count) })))
const causes = computed(() => (book.value?.causes ?? []).map((one) => ({ name: one.words, amount: one.count, words: String(one.count) })))
const day = (at: number) => new Date(at).toLocaleDateString([], { day: 'numeric', month: 'short' })
</script>

<template>
  <main class="logbook">
    <header>
      <div>
        <RouterLink class="wordmark" :to="{ name: 'shelf' }">Keen Seam</RouterLink>
        <h1>Logbook{{ book?.block ? `: ${book.block.name}` : ' of all blocks' }}</h1>
      </div>
      <nav aria-label="Logbook">
        <RouterLink v-if="block !== null" class="link-button" :to="{ name: 'machine', params: { block } }">To the machine</RouterLink>
        <RouterLink v-if="block !== null" class="link-button" :to="{ name: 'logbook' }">All blocks</RouterLink>
        <RouterLink class="link-button" :to="{ name: 'shelf' }">Shelf</RouterLink>
        <a class="link-button" :href="api.logbookAddress(block, 'csv')" download>Keep as CSV</a>
        <a class="link-button" :href="api.logbookAddress(block, 'json')" download>Keep as JSON</a>
        <SettingsButton />
      </nav>
    </header>
    <ProblemNote v-if="problem" :text="problem" @close="problem = ''" />
    <p v-else-if="book === null" class="soft" role="status">Reading the book</p>
    <div v-else-if="isEmpty" class="empty">
      <h2>Nothing is written yet</h2>
      <p>Every key pressed at the machine is noted here: how long it took, what was measured, what was unpicked and why.</p>
      <RouterLink v-if="block !== null" class="link-button" :to="{ name: 'machine', params: { block } }">Start at the machine</RouterLink>
    </div>
    <template v-else>
      <section class="teaches" aria-labelledby="teaches">
        <h2 id="teaches">What it teaches</h2>
        <ul v-if="book.lessons.length > 0">
          <li v-for="lesson in book.lessons" :key="lesson"><FractionText :text="lesson" /></li>
        </ul>
        <p v-else class="soft">Nothing yet. Three measured parts tell about your seams, three unpicks about your habits.</p>
        <p v-if="book.looking.taken > 0">Looking: of {{ counted(book.looking.taken, 'made picture') }} you found what lay wrong on {{ book.looking.yours }}, the program on {{ book.looking.program }}.</p>
      </section>
      <div class="columns">
        <section v-if="time.length > 0" aria-labelledby="time">
          <h2 id="time">Time <span class="soft">{{ duration(all) }} in all</span></h2>
          <BarChart :rows="time" label="Time by place" />
          <p class="soft">{{ counted(book.seamsSewn, 'seam') }} sewn{{ book.secondsForASeam === null ? '' : `, ${duration(book.secondsForASeam)} for one, as a rule` }}. Pauses are not counted.</p>
        </section>
        <section v-if="book.takeUps.length > 0" aria-labelledby="take-up">
          <h2 id="take-up">What a seam takes</h2>
          <TakeUpChart :take-ups="book.takeUps" :units="book.units" />
        </section>
        <section v-if="made.length > 0" aria-labelledby="made">
          <h2 id="made">Units made</h2>
          <BarChart :rows="made" label="Units made" />
        </section>
        <section v-if="causes.length > 0" aria-labelledby="unpicked">
          <h2 id="unpicked">Unpicked <span class="soft">{{ counted(book.unpicks.length, 'time') }}</span></h2>
          <BarChart :rows="causes" label="Unpicks by cause" />
          <table class="list">
            <thead>
              <tr><th>Day</th><th v-if="block === null">Block</th><th>Why</th><th>Seam</th><th class="number">Seams</th></tr>
            </thead>
            <tbody>
              <tr v-for="one in book.unpicks" :key="one.at"><td>{{ day(one.at) }}</td><td v-if="block === null">{{ one.block }}</td><td>{{ one.why }}</td><td>{{ one.title }}</td><td class="number">{{ one.seams }}</td></tr>
            </tbody>
          </table>
        </section>
        <section v-if="book.sizes.length > 0" aria-labelledby="sizes">
          <h2 id="sizes">Measured</h2>
          <table class="list">
            <thead>
              <tr><th>Day</th><th v-if="block === null">Block</th><th>Part</th><th>Size</th><th>Meant</th><th>Off by</th></tr>
            </thead>
            <tbody>
              <tr v-for="one in book.sizes" :key="one.at">
                <td>{{ day(one.at) }}</td>
                <td v-if="block === null">{{ one.block }}</td>
                <td>{{ one.title }}</td>
                <td><FractionText :text="one.size.join(' x ')" /> {{ one.units }}</td>
                <td><FractionText :text="one.meant.join(' x ')" /></td>
                <td><template v-if="one.off === '0'">nothing</template><template v-else><FractionText :text="one.off" /> {{ one.isLarge ? 'large' : 'small' }}</template></td>
              </tr>
            </tbody>
          </table>
        </section>
      </div>
    </template>
  </main>
</template>

<style scoped>
.logbook {
  min-height: 100%;
  padding: 28px 40px 40px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  justify-content: space-between;
  gap: 12px 24px;
  margin-bottom: 24px;
}

.wordmark {
  display: inline-block;
  min-height: 24px;
  font-size: 18px;
  font-weight: 700;
  text-decoration: none;
}

h1 {
  font-size: 34px;
}

h2 {
  margin-bottom: 8px;
  font-size: 20px;
}

h2 .soft {
  font-weight: 400;
}

nav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

.teaches {
  margin-bottom: 28px;
  padding: 18px 22px;
  border-left: 6px solid var(--thread);
  background: var(--paper);
  font-size: 20px;
}

.teaches ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

.teaches li + li {
  margin-top: 8px;
}

.columns {
  columns: 2 480px;
  column-gap: 48px;
}

.columns section {
  margin-bottom: 32px;
  break-inside: avoid;
}

.list {
  width: 100%;
  margin-top: 8px;
  border-collapse: collapse;
}

.list th,
.list td {
  padding: 7px 12px 7px 0;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  vertical-align: baseline;
}

.list th {
  color: var(--soft);
  font-weight: 400;
}

.list .number {
  text-align: right;
}
</style>
