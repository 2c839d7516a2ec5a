<script setup lang="ts">
import { computed, nextTick, onMounted, useTemplateRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import PrintButton from '@/components/along/PrintButton.vue'
import TakeAlongButton from '@/components/along/TakeAlongButton.vue'
import SettingsButton from '@/components/settings/SettingsButton.vue'
import { sheetsAt } from '@/drawing/along'

const props = defineProps<{ stations: { name: string; word: string; note: string; isDone: boolean }[]; block: number; name?: string; here: string }>()
const thing = computed(() => ({ kind: 'blocks' as const, id: props.block, name: props.name ?? 'this block' }))

/** Where the rail is a bar that scrolls, the station one is at stays in sight. */
const below = useTemplateRef<HTMLElement>('below')
const buttons = () => [...(below.value?.querySelectorAll('button') ?? [])]
/** One of the buttons is in the way of the Tab key; the arrow keys go on from it. */
function rest(event: FocusEvent) {
  for (const button of buttons()) button.tabIndex = button === event.target ? 0 : -1
}
function goAmong(event: KeyboardEvent) {
  const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key]
  if (by === undefined) return
  const seen = buttons().filter((button) => button.checkVisibility())
  seen[(seen.indexOf(event.target as HTMLButtonElement) + by + seen.length) % seen.length]?.focus()
  event.preventDefault()
  event.stopPropagation()
}
/** The first one that is seen: on a phone that is another. */
onMounted(() => buttons().filter((button) => button.checkVisibility()).forEach((button, i) => (button.tabIndex = i === 0 ? 0 : -1)))

const bar = useTemplateRef<HTMLOListElement>('bar')
function showHere() {
  const here = bar.value?.querySelector<HTMLElement>('.here')
  if (bar.value && here) bar.value.scrollLeft = here.offsetLeft - (bar.value.clientWidth - here.offsetWidth) / 2
}
onMounted(showHere)
watch([() => props.here, () => props.stations], () => nextTick(showHere))
</script>

<template>
  <nav class="station-rail" aria-label="Stations">
    <p class="wordmark">Keen Seam</p>
    <RouterLink class="to-shelf" :to="{ name: 'shelf' }">
      <svg viewBox="0 0 20 20" aria-hidden="true"><path d="M12 4 L6 10 L12 16" /></svg>Shelf
    </RouterLink>
    <ol ref="bar">
      <li v-for="station in stations" :key="station.name" :class="{ here: station.name === here, done: station.isDone }">
        <RouterLink :to="{ name: station.name, params: { block } }" :aria-current="station.name === here ? 'page' : undefined">
          <span class="knot" aria-hidden="true" />
          <span class="word">{{ station.word }}</span>
          <span class="note">{{ station.note }}</span>
        </RouterLink>
      </li>
    </ol>
    <div ref="below" class="below" role="toolbar" aria-label="Print, take along, settings" aria-orientation="vertical" @keydown="goAmong" @focusin="rest">
      <PrintButton :thing="thing" :kinds="sheetsAt[here] ?? []" />
      <TakeAlongButton :thing="thing" />
      <SettingsButton />
    </div>
  </nav>
</template>

<style scoped>
.station-rail {
  padding: 20px 12px;
  background: var(--paper);
  border-right: 1px solid var(--hair);
}

.wordmark {
  display: block;
  padding: 0 8px;
  font-size: 18px;
  font-weight: 700;
}

.to-shelf {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
  margin: 8px 0 16px;
  padding: 0 8px;
  color: var(--soft);
  text-decoration: none;
}

.to-shelf:hover,
.station-rail li a:hover .word {
  text-decoration: underline;
}

.to-shelf svg {
  width: 16px;
  fill: none;
  stroke: currentcolor;
  stroke-width: 2.4;
}

li {
  position: relative;
}

li + li::before {
  content: '';
  position: absolute;
  left: 14.5px;
  top: -30px;
  height: 44px;
  border-left: 4px dashed var(--thread-rest);
}

li.done + li::before {
  border-left-color: var(--thread);
}

li a {
  position: relative;
  display: grid;
  grid-template-columns: 33px 1fr;
  align-items: center;
  min-height: 74px;
  align-content: center;
  text-decoration: none;
}

.knot {
  grid-row: 1;
  width: 16px;
  height: 16px;
  margin-left: 8.5px;
  border: 2px solid var(--thread-rest);
  border-radius: 50%;
  background: var(--paper);
}

li.done .knot {
  border-color: var(--thread);
  background: var(--thread);
}

li.here .knot {
  border-color: var(--thread);
  box-shadow: 0 0 0 5px #d5e3e0;
}

.here .word {
  font-weight: 650;
}

.note {
  grid-column: 2;
  color: var(--soft);
  font-size: 14px;
}

.below {
  display: grid;
  justify-items: start;
  margin-top: 28px;
}

/* Where the window is low, the rail is no taller than it. */
@media (max-height: 760px) and (min-width: 901px) {
  .below {
    display: flex;
    margin-top: 8px;
  }

  .below :deep(button) {
    min-width: 44px;
    justify-content: center;
  }

  .below :deep(button > span) {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}

@media (max-width: 900px) {
  .below {
    display: flex;
    flex: none;
    margin: 0;
  }

  .below :deep(button > span) {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }

  .station-rail {
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 4px 8px 4px 16px;
    border-right: 0;
    border-bottom: 1px solid var(--hair);
  }

  .to-shelf {
    margin: 0;
  }

  ol {
    position: relative;
    display: flex;
    flex: 1;
    gap: 20px;
    min-width: 0;
    padding: 0 14px 0 10px;
    overflow-x: auto;
    scrollbar-width: none;
    mask-image: linear-gradient(to right, #000 calc(100% - 14px), transparent);
  }

  li:first-child {
    margin-left: auto;
  }

  .note {
    white-space: nowrap;
  }

  .wordmark,
  .word {
    white-space: nowrap;
  }

  li a {
    grid-template-columns: 27px 1fr;
  }

  .knot {
    margin-left: 4px;
  }

  li:not(.here) .note {
    display: none;
  }

  li + li::before {
    left: -18px;
    top: calc(50% - 2px);
    width: 16px;
    height: 0;
    border-left: 0;
    border-top: 4px dashed var(--thread-rest);
  }

  li.done + li::before {
    border-top-color: var(--thread);
  }

  li a {
    min-height: 60px;
  }
}

@media (max-width: 700px) {
  .wordmark,
  .below > .print-button {
    display: none;
  }
}
</style>
