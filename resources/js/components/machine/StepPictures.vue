<script setup lang="ts">
import { computed } from 'vue'
import type { PressShown, StepPicture, UnitPicture, WorkStep } from '@/api/types'
import BlockBack from '@/drawing/BlockBack.vue'
import BlockFace from '@/drawing/BlockFace.vue'
import FractionText from '@/drawing/FractionText.vue'
import { boxRound } from '@/drawing/geometry'
import FurlLens from '@/drawing/FurlLens.vue'
import PiecesApart from '@/drawing/PiecesApart.vue'
import PiecesInHand from '@/drawing/PiecesInHand.vue'
import StagePicture from '@/drawing/StagePicture.vue'
import SeamRuler from '@/drawing/SeamRuler.vue'
import UnitIcon from '@/drawing/UnitIcon.vue'

/** One step as it lies on the table, in the hand and after: what to take, how it is held, what comes of it. */
const props = defineProps<{ press: PressShown; step: WorkStep | null; picture: StepPicture | null; isLeftHanded: boolean; isSecondLook: boolean }>()

/** More than two kinds at once would be too small to read. */
const MOST = 2

const name = computed(() => props.step?.title ?? 'the whole block')
/** Which seam is next, where the pictures show every seam of the step; null where one unit stands for all. */
const seam = computed(() => {
  const { step, picture } = props
  const all = (picture?.takes ?? []).flatMap((take, t) => take.seams.map((_, at) => ({ take: t, at })))
  if (step === null || all.length < 2 || all.length !== step.joins.length || step.open.length === 0) return null
  const next = step.open[Math.min(step.open.length - 1, Math.floor((step.counted * step.open.length) / Math.max(1, step.due)))]
  return all[step.joins.indexOf(next ?? -1)] ?? null
})
const hereOf = <T,>(all: T[]): T[] => (seam.value === null ? all.slice(0, MOST) : all.slice(seam.value.take, seam.value.take + 1))
const stages = computed(() => (props.picture?.stages ?? []).filter((stage) => stage.things.length > 0).slice(0, MOST))
/** Pieces that are not in the shape of the patches yet are shown as they are. */
const takes = computed(() => (stages.value.length > 0 ? [] : hereOf(props.picture?.takes ?? [])))
const shown = computed(() => props.picture?.shown ?? [{ patches: props.step?.patches ?? [], raw: [], flaps: [], size: null }])
const parts = computed(() => (props.step === null ? [{ patches: undefined, raw: [], flaps: props.press.flaps, size: null }] : shown.value.length === props.picture?.takes.length ? hereOf(shown.value) : shown.value.slice(0, MOST)))
const size = computed(() => (props.step?.size === null ? (parts.value[0]?.size ?? null) : null))
const isCloseUp = computed(() => props.step !== null && props.step.do !== 'cut' && props.step.do !== 'mark')
const hasBack = computed(() => props.step === null || props.step.do === 'press')
/** Rows are wide and low: their pictures stand one above the other. */
const isWide = computed(() => {
  const here = new Set(parts.value[0]?.patches ?? [])
  const box = boxRound(props.press.face.patches.filter((patch) => here.has(patch.id)).flatMap((patch) => patch.points))
  return isCloseUp.value && parts.value.length === 1 && box.width > 2.2 * box.height
})
const seamsIn = (patches: number[] | undefined) => {
  const here = patches && new Set(patches)
  return props.press.joins.filter((join) => here === undefined || join.patches.every((patch) => here.has(patch)))
}
const highlighted = computed(() => props.step?.joins ?? [])
/** The unit in the hand that could lie turned; before the first seam also the one it is sewn to. */
const twice = computed(() => {
  const doubtful = props.isSecondLook ? (props.picture?.lookTwice ?? []).filter((one) => one.wrong.length > 0) : []
  const pieces = takes.value[0]?.pieces ?? []
  const at = seam.value?.at ?? 0
  const inHand = [pieces[at + 1] ?? [], at === 0 ? (pieces[0] ?? []) : []].flat()
  return seam.value === null ? (doubtful[0] ?? null) : (doubtful.find((one) => inHand.includes(one.patch)) ?? null)
})
const colours = computed(() => new Map(props.press.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
const coloured = (unit: UnitPicture[]) => unit.map((patch) => ({ color: colours.value.get(patch.fabric) ?? '#fff', points: patch.points }))
const side = computed(() => (props.isLeftHanded ? 'left' : 'right'))
</script>

<template>
  <div class="pictures" :class="{ wide: isWide && !picture?.ruler, ruled: picture?.ruler, sewing: takes.length > 0, staged: stages.length > 0 }">
    <figure v-if="stages.length > 0" class="on-table">
      <figcaption>{{ step?.do === 'press' ? 'At the iron' : step?.do === 'join' ? 'Under the needle' : step?.do === 'cut-apart' ? 'Under the knife' : 'On the table' }} <span class="soft">{{ step?.do === 'join' ? 'the dashed lines are sewn' : step?.do === 'cut-apart' ? 'cut along the red lines' : '' }}</span></figcaption>
      <div class="several"><StagePicture v-for="(stage, i) in stages" :key="i" :stage="stage" :colours="colours" large /></div>
    </figure>
    <figure v-if="takes.length > 0" class="take">
      <figcaption>Take <span class="soft">sew the stitched edge</span></figcaption>
      <div class="several"><PiecesApart v-for="(take, i) in takes" :key="i" :face="press.face" :take="take" :at="seam?.at ?? null" :label="`To be sewn to each other: ${name}`" /></div>
    </figure>
    <figure v-if="takes.length > 0" class="in-hand">
      <figcaption>In the hand <span class="soft">sew at the {{ side }}</span></figcaption>
      <div class="several"><PiecesInHand v-for="(take, i) in takes" :key="i" :face="press.face" :take="take" :at="seam?.at ?? 0" :is-left-handed="isLeftHanded" :label="`Right sides together, edge to sew at the ${side}`" /></div>
    </figure>
    <figure class="opened">
      <figcaption>{{ takes.length > 0 ? 'Opened' : stages.length > 0 ? 'What it becomes' : 'Face' }} <span v-if="size" class="soft">must measure <FractionText :text="size.join(' x ')" /></span></figcaption>
      <div class="several"><BlockFace v-for="(part, i) in parts" :key="i" :face="press.face" :label="`Face: ${name}`" :joins="press.joins" :highlighted="highlighted" :patches="part.patches" :raw="part.raw" :close-up="isCloseUp" :pixels="420" /></div>
    </figure>
    <figure v-if="hasBack" class="opened">
      <figcaption>Back <span class="soft">{{ step ? 'arrows show where the allowances lie' : 'as it is pressed' }}</span></figcaption>
      <div class="several">
        <BlockBack v-for="(part, i) in parts" :key="i" :name="step?.title ?? press.block.name" :face="press.face" :flaps="part.flaps" :joins="seamsIn(part.patches)" :crossings="step ? [] : press.crossings" :patches="part.patches" :highlighted="highlighted" :pixels="parts.length > 1 ? 260 : 420" :is-live="false" />
      </div>
    </figure>
    <figure v-if="picture && picture.furls.length > 0" class="furls">
      <figcaption>{{ picture.furls.length === 1 ? 'The furl' : 'The furls' }} <span class="soft">from the back; open the dashed stitches first</span></figcaption>
      <div class="several"><FurlLens v-for="furl in picture.furls.slice(0, MOST)" :key="furl.text.join()" :furl="furl" :face="press.face" :flaps="parts[0]?.flaps ?? []" :joins="seamsIn(step?.patches)" :size="180" /></div>
    </figure>
    <figure v-if="twice && twice.wrong[0]" class="twice">
      <figcaption>Look twice <span class="soft">row {{ twice.row }}, column {{ twice.column }}</span></figcaption>
      <div class="several">
        <span><UnitIcon :patches="coloured(twice.right)" :ratio="twice.ratio" label="It must look like this" /><b>like this</b></span>
        <span><UnitIcon :patches="coloured(twice.wrong[0].patches)" :ratio="twice.ratio" label="It must not look like this" /><b class="not">not like this</b></span>
      </div>
    </figure>
    <figure v-if="picture?.ruler" class="ruler">
      <figcaption>What meets along the seam <span class="soft">from the raw edge, right sides together</span></figcaption>
      <SeamRuler :join="picture.ruler" :fabrics="press.face.fabrics" :units="press.face.units" is-far />
    </figure>
  </div>
</template>

<style scoped>
.pictures {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
  gap: 14px 28px;
  flex: 1;
  min-height: 0;
  padding: 8px 0 12px;
}

/* A row: its units across the whole width, below them what is done with them. */
.pictures.wide {
  grid-auto-flow: row;
  grid-template-columns: minmax(0, 1fr);
  grid-auto-rows: minmax(0, 1fr);
}

.wide.sewing {
  grid-template-columns: minmax(0, 1fr) minmax(0, 2fr) minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) minmax(0, 1.1fr);
}

.wide.sewing .take {
  grid-column: 1 / -1;
}

.wide.sewing .in-hand {
  grid-column: 1;
}

/* Two long edges stand upright in the hand: a tall picture beside the others and the ruler. */
.pictures.ruled {
  grid-auto-flow: row;
  grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) minmax(0, 1.1fr);
  grid-template-rows: minmax(0, 1.15fr) minmax(0, 1fr);
}

.ruled .in-hand {
  grid-row: 1 / -1;
  grid-column: 3;
}

.ruled .ruler {
  grid-column: 1 / 3;
}

.ruled:has(.twice) .in-hand {
  grid-row: 1;
}

figure {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  margin: 0;
  min-width: 0;
  min-height: 0;
  gap: 4px;
}

figcaption {
  font-size: 21px;
  font-weight: 650;
  line-height: 1.2;
}

figcaption .soft {
  font-weight: 400;
}

.several {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
  gap: 16px;
  min-height: 0;
}

figure :deep(svg) {
  width: 100%;
  height: 100%;
  min-height: 0;
}

.twice .several > span {
  display: grid;
  grid-template-rows: minmax(0, 200px) auto;
  align-content: center;
  justify-items: center;
  min-height: 0;
}

.twice b {
  font-size: 22px;
}

.not {
  color: var(--madder, #8c2f24);
}

@media (max-width: 900px) {
  .pictures,
  .pictures.wide,
  .pictures.ruled,
  .wide.sewing {
    grid-auto-flow: row;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: none;
    grid-auto-rows: minmax(0, 1fr);
  }

  .pictures.sewing {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }

  .pictures.ruled figure,
  .pictures.wide figure {
    grid-row: auto;
    grid-column: auto;
    width: auto;
  }

  .pictures.ruled .in-hand {
    grid-row: 1 / 3;
    grid-column: 2;
  }

  .pictures.ruled .twice {
    grid-column: 1 / -1;
  }

  .pictures.sewing.wide .take,
  .pictures.sewing .ruler {
    grid-column: 1 / -1;
  }
}

/* Where there is little room below each other, pictures stand side by side. */
@media (max-width: 480px), (max-height: 520px) {
  .pictures:not(.wide, .ruled) {
    grid-auto-flow: column;
    grid-template-columns: none;
    grid-auto-columns: minmax(0, 1fr);
    gap: 8px 14px;
  }

  figcaption {
    font-size: 17px;
  }
}
</style>
