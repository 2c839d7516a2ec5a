<script setup lang="ts">
import { computed, nextTick, ref, useId, watch } from 'vue'
import type { CrossingShown, FaceShown, FlapShown, JoinShown, Place, TurnNotPossible } from '@/api/types'
import { allowance, mixed, wrongSide } from './colour'
import { asOnRuler } from './fractions'
import { along, boxRound, directionAngle, fromTheBack, middle, pointsText, pressAngle, rulerMarks, stretches } from './geometry'
import StateMark from './StateMark.vue'
import { nestingWords } from './words'

const props = withDefaults(
  defineProps<{
    name: string
    face: FaceShown
    flaps: FlapShown[]
    joins: JoinShown[]
    crossings: (CrossingShown & { isMeant?: boolean })[]
    /** Show only the part of the block these patches take up; the whole when left out. */
    patches?: number[]
    selected?: number | null
    /** Seams drawn strongly beside the selected one. */
    highlighted?: number[]
    pixels?: number
    /** Whether seams can be chosen and flipped here. */
    isLive?: boolean
    /** A crossing that cannot turn as asked, and how its seams would have to lie. */
    turn?: TurnNotPossible | null
  }>(),
  { patches: undefined, selected: null, highlighted: () => [], pixels: 480, isLive: true, turn: null },
)
const emit = defineEmits<{ select: [join: number]; flip: [join: number, stretch: number]; look: [at: Place] }>()

/** What is shown, seen from the back, finished size. */
const box = computed(() => {
  const shown = props.patches && new Set(props.patches)
  const patches = props.face.patches.filter((patch) => shown === undefined || shown.has(patch.id))
  return boxRound(patches.flatMap((patch) => fromTheBack(patch.points, props.face.width)))
})
const scale = computed(() => (Math.max(box.value.width, box.value.height) + 2 * props.face.allowance) / props.pixels)
/** Raw edge to raw edge: what sticks out past it are dog ears, which come off. */
const raw = computed(() => ({
  x: box.value.left - props.face.allowance,
  y: box.value.top - props.face.allowance,
  width: box.value.width + 2 * props.face.allowance,
  height: box.value.height + 2 * props.face.allowance,
}))
const viewBox = computed(() => {
  const [ruler, rim] = [props.patches ? 2 * scale.value : 24 * scale.value, 2 * scale.value]
  return `${raw.value.x - ruler} ${raw.value.y - ruler} ${raw.value.width + ruler + (props.patches ? rim : ruler)} ${raw.value.height + ruler + rim}`
})
const clip = useId()

const colours = computed(() => {
  const byKey = new Map(props.face.fabrics.map((fabric) => [fabric.key, fabric.color]))
  return new Map(props.face.patches.map((patch) => [patch.id, byKey.get(patch.fabric) ?? '#888888']))
})
const cloth = computed(() =>
  props.flaps.map((flap) => {
    const color = colours.value.get(flap.patch) ?? '#888888'
    return {
      points: pointsText(fromTheBack(flap.points, props.face.width)),
      fill: flap.turnedUp ? color : flap.allowance ? allowance(color) : wrongSide(color),
      edge: flap.allowance ? mixed(color, '#20262b', 0.45) : 'none',
    }
  }),
)

const back = (place: Place): Place => [props.face.width - place[0], place[1]]
const seams = computed(() =>
  props.joins.map((join) => ({
    join,
    from: back(join.from),
    to: back(join.to),
    arrows: stretches(join).map((stretch) => ({
      at: back(middle(stretch.from, stretch.to)),
      angle: pressAngle(join, stretch, true),
    })),
  })),
)
/** Where there are very many seams, marks and arrows would cover the cloth: those stay that say something. */
const isCrowded = computed(() => props.joins.length > 800)
const marks = computed(() => props.crossings.filter((crossing) => !isCrowded.value || crossing.kind !== 'nested').map((crossing) => ({ ...crossing, at: back(crossing.at) })))
const across = computed(() => rulerMarks(props.face.width).marks)
const down = computed(() => rulerMarks(props.face.height).marks)

/** Where seams cannot be chosen, only the arrows of the step in hand are shown. */
const arrowed = computed(() =>
  props.isLive && !isCrowded.value ? seams.value : seams.value.filter((seam) => isStrong(seam.join.id) || isChosen(seam.join) || seam.join.locked),
)

const strong = computed(() => new Set(props.highlighted))
const isStrong = (id: number) => strong.value.has(id)
const isChosen = (join: JoinShown) => props.selected !== null && join.id === props.selected
const pile = computed(() => new Set(props.selected === null ? [] : props.joins[props.selected]?.pile))
const isInPile = (join: JoinShown) => pile.value.has(join.id)

function label(join: JoinShown): string {
  const lies = join.press[0] === 'open' ? 'open' : `toward ${join.press[0] === 'left' ? join.left : join.right}`
  return `${join.title}: pressed ${lies}${join.locked ? ', locked' : ''}${join.isPressed ? ', pressed already' : ''}`
}

const root = ref<SVGSVGElement | null>(null)

/** Where seams lie close, arrows and marks are drawn small and grow near the pointer and the seam looked at. */
const isDense = computed(() => {
  const lengths = props.joins.map((join) => Math.hypot(join.to[0] - join.from[0], join.to[1] - join.from[1]) / (join.divisions.length + 1))
  return lengths.reduce((sum, length) => sum + length, 0) / Math.max(1, lengths.length) < 42 * scale.value
})
const pointer = ref<Place | null>(null)
const isNear = (at: Place, to: Place | null) => to !== null && Math.hypot(at[0] - to[0], at[1] - to[1]) < 22 * scale.value
const grown = (at: Place) => (!isDense.value || isNear(at, pointer.value) || isNear(at, looked.value) ? (isDense.value ? 0.8 : 1) : 0.4)
const looked = computed<Place | null>(() => {
  const join = props.selected === null ? undefined : props.joins[props.selected]
  return join === undefined ? null : back(middle(join.from, join.to))
})

function follow(event: PointerEvent) {
  const matrix = isDense.value ? root.value?.getScreenCTM() : null
  if (!matrix) return
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  pointer.value = [at.x, at.y]
}

/** The crossing that cannot turn, with an arrow on each seam as it would have to lie. */
const asked = computed(() => {
  if (props.turn === null) return null
  const at = back(props.turn.at)
  return {
    at,
    arrows: props.turn.needs.flatMap((need) => {
      const join = props.joins[need.join]
      if (join === undefined) return []
      const far = [join.from, join.to].map(back).reduce((most, end) => (Math.hypot(end[0] - at[0], end[1] - at[1]) > Math.hypot(most[0] - at[0], most[1] - at[1]) ? end : most))
      const share = Math.min(0.5, (46 * scale.value) / Math.hypot(far[0] - at[0], far[1] - at[1]))
      return [{ at: along(at, far, share), angle: directionAngle(join, need.press, true) }]
    }),
  }
})

// The focus goes with the seam that is looked at, where it was on a seam before.
watch(
  () => props.selected,
  async (selected) => {
    if (!(document.activeElement instanceof SVGElement) || !root.value?.contains(document.activeElement)) return
    await nextTick()
    root.value.querySelector<SVGGElement>(`.seam[data-join="${selected}"]`)?.focus()
  },
)
</script>

<template>
  <svg
    ref="root"
    class="block-back"
    :viewBox="viewBox"
    preserveAspectRatio="xMidYMid meet"
    role="group"
    :aria-label="`Back of ${name}, with ${joins.length} seams`"
    @pointermove="follow"
    @pointerleave="pointer = null"
  >
    <g v-if="!patches" class="ruler" :font-size="scale * 13" aria-hidden="true">
      <template v-for="mark in across" :key="`x${mark}`">
        <line :x1="face.width - mark" :x2="face.width - mark" :y1="-face.allowance" :y2="-face.allowance - scale * 5" :stroke-width="scale" />
        <text :x="face.width - mark" :y="-face.allowance - scale * 9" text-anchor="middle">{{ asOnRuler(`${mark}`, face.units) }}</text>
      </template>
      <template v-for="mark in down" :key="`y${mark}`">
        <line :y1="mark" :y2="mark" :x1="-face.allowance" :x2="-face.allowance - scale * 5" :stroke-width="scale" />
        <text :x="-face.allowance - scale * 9" :y="mark + scale * 4.5" text-anchor="end">{{ asOnRuler(`${mark}`, face.units) }}</text>
      </template>
    </g>
    <defs>
      <clipPath :id="clip"><rect v-bind="raw" /></clipPath>
    </defs>
    <g class="cloth" :stroke-width="scale * 0.8" :clip-path="`url(#${clip})`">
      <polygon v-for="(flap, i) in cloth" :key="i" :points="flap.points" :fill="flap.fill" :stroke="flap.edge === 'none' ? flap.fill : flap.edge" />
    </g>
    <g
      v-for="seam in seams"
      :key="seam.join.id"
      class="seam"
      :class="{ chosen: isChosen(seam.join), 'in-pile': isInPile(seam.join), strong: isStrong(seam.join.id), live: isLive }"
      :data-join="seam.join.id"
      :data-press="seam.join.press.join(' ')"
      :data-locked="seam.join.locked"
      :role="isLive ? 'button' : undefined"
      :tabindex="isLive ? (seam.join.id === (selected ?? 0) ? 0 : -1) : undefined"
      :aria-label="isLive ? label(seam.join) : undefined"
      :aria-pressed="isLive ? isChosen(seam.join) : undefined"
      @click="isLive && emit('select', seam.join.id)"
    >
      <line class="reach" :x1="seam.from[0]" :y1="seam.from[1]" :x2="seam.to[0]" :y2="seam.to[1]" :stroke-width="scale * 16" />
      <line class="glow" :x1="seam.from[0]" :y1="seam.from[1]" :x2="seam.to[0]" :y2="seam.to[1]" :stroke-width="scale * 7" />
      <line
        class="stitches"
        :x1="seam.from[0]"
        :y1="seam.from[1]"
        :x2="seam.to[0]"
        :y2="seam.to[1]"
        :stroke-width="scale * 1.4"
        :stroke-dasharray="`${scale * 4.5} ${scale * 2.5}`"
      />
    </g>
    <g
      v-for="seam in arrowed"
      :key="`a${seam.join.id}`"
      class="arrows"
      :class="{ chosen: isChosen(seam.join), 'in-pile': isInPile(seam.join), strong: isStrong(seam.join.id), live: isLive }"
      aria-hidden="true"
    >
      <g v-for="(arrow, i) in seam.arrows" :key="i" :data-stretch="`${seam.join.id}.${i}`" :transform="`translate(${arrow.at[0]} ${arrow.at[1]}) scale(${scale * (isLive ? grown(arrow.at) : 1.8)})`" @click.stop="isLive && emit('flip', seam.join.id, i)">
        <circle class="reach" r="17" />
        <path v-if="arrow.angle !== null" class="arrow" :transform="`rotate(${arrow.angle})`" d="M-10 -2.2 H2 V-7 L11 0 L2 7 V2.2 H-10 Z" />
        <path v-else class="arrow open" d="M-9 0 L-3 -5 V-1.5 H3 V-5 L9 0 L3 5 V1.5 H-3 V5 Z" />
        <g v-if="seam.join.locked && i === 0" class="lock" transform="translate(13 -13)">
          <circle r="8" />
          <path d="M-3 -0.5 V-2 A3 3 0 0 1 3 -2 V-0.5 M-4 -0.5 H4 V4.5 H-4 Z" />
        </g>
      </g>
    </g>
    <g
      v-for="crossing in marks"
      :key="`${crossing.join}:${crossing.text.join()}`"
      class="crossing"
      :data-crossing="crossing.text.join(' ')"
      :data-kind="crossing.kind"
      @click.stop="emit('look', [face.width - crossing.at[0], crossing.at[1]])"
    >
      <title>{{ nestingWords[crossing.kind].word }}: {{ nestingWords[crossing.kind].means }}</title>
      <StateMark :kind="crossing.kind" :at="crossing.at" :size="scale * 24 * (crossing.kind === 'nested' ? grown(crossing.at) : 1)" />
    </g>
    <g v-if="asked" class="turn" aria-hidden="true">
      <circle :cx="asked.at[0]" :cy="asked.at[1]" :r="scale * 20" :stroke-width="scale * 3" />
      <g v-for="(arrow, i) in asked.arrows" :key="i" :transform="`translate(${arrow.at[0]} ${arrow.at[1]}) scale(${scale * 1.4})`"><path class="arrow" :transform="`rotate(${arrow.angle ?? 0})`" d="M-10 -2.2 H2 V-7 L11 0 L2 7 V2.2 H-10 Z" /></g>
    </g>
    <template v-for="crossing in marks" :key="`w${crossing.join}:${crossing.text.join()}`">
      <text v-if="crossing.kind !== 'nested' && !crossing.isMeant" class="crossing-word" :class="crossing.kind" :x="crossing.at[0]" :y="crossing.at[1] - scale * 15" :font-size="scale * 14" text-anchor="middle">
        {{ nestingWords[crossing.kind].word }}
      </text>
    </template>
  </svg>
</template>
