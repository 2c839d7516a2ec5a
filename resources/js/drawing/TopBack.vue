<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import type { JoinShown, TopPlanShown } from '@/api/types'
import { allowance, mixed, wrongSide } from './colour'
import { middle, pointsText, pressAngle, stretches, type Stretch } from './geometry'
import StateMark from './StateMark.vue'
import { nestingWords } from './words'
import { hangingBox, hangingMatrix, matrixText, placeMatrix } from './topGeometry'

/**
 * The back of a top: each pile's block once, shown wherever it lies, and over them the seams between, with where their
 * allowances lie. Drawn as the face is and then mirrored as a whole, so that nothing has to be thought of twice.
 */
const props = defineProps<{ plan: TopPlanShown; label: string; /** Places of the seams that are held. */ held: string[] }>()
const emit = defineEmits<{ flip: [join: number]; look: [join: number, number: number] }>()

const isHeld = computed(() => new Set(props.plan.seams.filter((_, number) => props.held.includes(props.plan.seamPlaces[number] ?? '')).map((join) => join.id)))
const lies = (join: TopPlanShown['seams'][number]) => (join.press[0] === 'open' ? 'open' : `toward ${join.press[0] === 'left' ? join.left : join.right}`)

const id = useId()
const picture = computed(() => props.plan.picture)
const colours = computed(() => new Map(picture.value.fabrics.map((fabric) => [fabric.key, fabric.color])))
const colour = (fabric: string) => colours.value.get(fabric) ?? '#888888'
const box = computed(() => hangingBox(picture.value))
const block = computed(() => ({ width: picture.value.blocks[0]?.width ?? 1, height: picture.value.blocks[0]?.height ?? 1 }))
const hair = computed(() => Math.max(box.value.width, box.value.height) / 900)
/** Allowances between blocks are drawn wider than they are: they could not be seen. */
const strip = computed(() => Math.max(block.value.width * 0.045, hair.value * 5))

const piles = computed(() =>
  props.plan.made.map((pile, number) => {
    const fabricOf = new Map(pile.face.patches.map((patch) => [patch.id, colour(patch.fabric)]))
    return {
      id: `${id}-pile-${number}`,
      name: `${pile.block}${pile.mirrored ? ' mirrored' : ''} ${pile.pile}`,
      width: pile.face.width,
      height: pile.face.height,
      cloth: pile.flaps.map((flap) => {
        const own = fabricOf.get(flap.patch) ?? '#888888'
        return { points: pointsText(flap.points), fill: flap.turnedUp ? own : flap.allowance ? allowance(own) : wrongSide(own), edge: flap.allowance ? mixed(own, '#20262b', 0.45) : 'none' }
      }),
    }
  }),
)
const pileAt = computed(() => new Map(props.plan.places.map((place) => [`${place.row}/${place.column}`, place.pile])))
const laid = computed(() =>
  picture.value.places.flatMap((place) => {
    const number = pileAt.value.get(`${place.row}/${place.column}`)
    const pile = piles.value.find((one) => one.name === `${place.block}${place.mirrored ? ' mirrored' : ''} ${number}`)
    return pile === undefined ? [] : [{ key: `${place.row}/${place.column}`, href: `#${pile.id}`, matrix: matrixText(placeMatrix({ ...place, mirrored: false }, block.value.width, block.value.height)) }]
  }),
)
const plain = computed(() => [...picture.value.pieces, ...picture.value.places.flatMap((place) => place.pieces), ...picture.value.places.flatMap((place) => (place.fabric !== null && place.pieces.length === 0 ? [square(place.at, place.fabric)] : []))])
const square = ([x = 0, y = 0]: number[], fabric: string) => ({ fabric, points: [[x, y], [x + block.value.width, y], [x + block.value.width, y + block.value.height], [x, y + block.value.height]] as [number, number][] })

/** Stretches of a seam that are pressed one way, as one. */
function runs(join: TopPlanShown['seams'][number]): (Stretch & { all: Stretch[] })[] {
  const longer: (Stretch & { all: Stretch[] })[] = []
  for (const stretch of stretches({ ...join, pile: [join.id], locked: false, ruled: false, isPressed: false } as JoinShown)) {
    const last = longer[longer.length - 1]
    if (last?.press === stretch.press) {
      last.to = stretch.to
      last.all.push(stretch)
    } else longer.push({ ...stretch, all: [stretch] })
  }
  return longer
}

const seams = computed(() =>
  props.plan.seams.flatMap((join) =>
    runs(join).map((stretch, number) => {
      const angle = pressAngle(join, stretch, false)
      const radians = ((angle ?? 0) * Math.PI) / 180
      const [dx, dy] = [Math.cos(radians) * strip.value, Math.sin(radians) * strip.value]
      const [from, to] = [stretch.from, stretch.to]
      const shift = ([x, y]: [number, number], by: number): [number, number] => [x + dx * by, y + dy * by]
      return {
        key: `${join.id} ${number}`,
        join,
        from,
        to,
        points: pointsText(angle === null ? [shift(from, -0.5), shift(to, -0.5), shift(to, 0.5), shift(from, 0.5)] : [from, to, shift(to, 1), shift(from, 1)]),
        angle,
        // Between two crossings, so that neither hides the other.
        at: ((one) => middle(one.from, one.to))(stretch.all[Math.floor(stretch.all.length / 2)] ?? stretch),
        isLong: Math.hypot(to[0] - from[0], to[1] - from[1]) > strip.value * 2,
        title: `${join.title}: pressed ${lies(join)}${isHeld.value.has(join.id) ? ', held' : ''}`,
      }
    }),
  ),
)
/** Each crossing with its number along its join. */
const crossings = computed(() => {
  const counts = new Map<number, number>()
  return props.plan.crossings.map((crossing) => {
    const number = counts.get(crossing.join) ?? 0
    counts.set(crossing.join, number + 1)
    return { ...crossing, number }
  })
})
/** One of the long seams is in the way of the Tab key; the arrow keys go on from it. */
const focused = ref(0)
const drawn = ref<SVGGElement[]>([])
function press(event: KeyboardEvent, join: number) {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
  if (by !== undefined) drawn.value[(focused.value + by + seams.value.length) % seams.value.length]?.focus()
  else if (event.key === 'Enter' || event.key === ' ') emit('flip', join)
  else if (event.key === 'l') emit('look', join, 0)
  else return
  event.preventDefault()
}
const frame = computed(() => `matrix(-1 0 0 1 ${2 * box.value.left + box.value.width} 0)`)
</script>

<template>
  <svg class="top-back" :viewBox="`${box.left} ${box.top} ${box.width} ${box.height}`" role="group" :aria-label="label" preserveAspectRatio="xMidYMid meet">
    <defs>
      <clipPath v-for="pile in piles" :id="`${pile.id}-edge`" :key="pile.id"><rect :width="pile.width" :height="pile.height" /></clipPath>
      <g v-for="pile in piles" :id="pile.id" :key="pile.id" :clip-path="`url(#${pile.id}-edge)`">
        <polygon v-for="(piece, number) in pile.cloth" :key="number" :points="piece.points" :fill="piece.fill" :stroke="piece.edge" :stroke-width="hair * 0.6" />
      </g>
    </defs>
    <g :transform="frame">
      <g :transform="matrixText(hangingMatrix(picture.isOnPoint))">
        <polygon v-for="(piece, number) in plain" :key="number" :points="pointsText(piece.points as [number, number][])" :fill="wrongSide(colour(piece.fabric))" :stroke="wrongSide(colour(piece.fabric))" :stroke-width="hair" />
        <use v-for="one in laid" :key="one.key" :href="one.href" :transform="one.matrix" />
        <g v-for="(seam, number) in seams" :key="seam.key" ref="drawn" class="live" :class="{ held: isHeld.has(seam.join.id) }" :data-join="seam.join.id" role="button" :tabindex="number === focused ? 0 : -1" :aria-label="seam.title" :aria-pressed="isHeld.has(seam.join.id)" @click="emit('flip', seam.join.id)" @focus="focused = number" @keydown="press($event, seam.join.id)">
          <title>{{ seam.title }}</title>
          <polygon class="strip" :points="seam.points" :stroke-width="hair" />
          <line class="seam" :x1="seam.from[0]" :y1="seam.from[1]" :x2="seam.to[0]" :y2="seam.to[1]" :stroke-width="hair * 2.5" />
          <path v-if="seam.angle !== null && seam.isLong" class="toward" d="M-1 -1 L1 0 L-1 1 Z" :transform="`translate(${seam.at[0]} ${seam.at[1]}) rotate(${seam.angle}) scale(${strip * 0.75}) translate(0.5 0)`" />
        </g>
        <g v-for="crossing in crossings" :key="`${crossing.join} ${crossing.number}`" class="crossing" :data-crossing="`${crossing.join}.${crossing.number}`" @click="emit('look', crossing.join, crossing.number)">
          <title>{{ nestingWords[crossing.kind].word }}: look at it from near</title>
          <circle class="reach" :cx="crossing.at[0]" :cy="crossing.at[1]" :r="strip" />
          <StateMark v-if="crossing.kind !== 'nested'" :kind="crossing.kind" :at="crossing.at" :size="strip * 2.4" />
        </g>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.top-back {
  display: block;
  width: 100%;
  height: 100%;
}

.strip {
  fill: var(--paper);
  fill-opacity: 0.72;
  stroke: var(--ink);
}

.seam {
  stroke: var(--ink);
}

.toward {
  fill: var(--ink);
}

.crossing {
  cursor: pointer;
}

.reach {
  fill: transparent;
}

.crossing:hover .reach {
  stroke: var(--thread);
  stroke-width: 0.1;
}

.live {
  cursor: pointer;
}

.live:hover .strip,
.live:focus-visible .strip {
  fill: var(--thread-pale);
  fill-opacity: 1;
}

.live:focus-visible {
  outline: 3px solid var(--thread);
}

.held .seam {
  stroke: var(--brick);
}

.held .toward {
  fill: var(--brick);
}
</style>
