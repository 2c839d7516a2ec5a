import { shallowRef } from 'vue'
import { refused, taken } from '@/composables/useRefusal'
import { pressShown } from './changes'
import type { AdviceShown, AskedShown, BesideShown, BroughtBack, Chain, ChoicesShown, CopyAsked, CuttingChoices, CuttingShown, DrawingShown, FilePreviewed, GrowingShown, HouseShown, HouseSwitched, JoinsChanged, JoinsShown, LargestShown, LockAsked, LogbookShown, LookTwiceShown, NamedBlock, NewBlock, Order, OrderChosen, OrdersShown, OwnTrayShown, PaperReady, PhotoShown, PatternChecked, PileChoice, PilesShown, PlanningShown, PrecutsShown, PressAnswer, PressChanged, PressDirection, PressStyle, RailShown, RestOfSeams, RulePriced, SeamTestGiven, SeamsChosen, ShelfBlock, ShelfShown, SizesShown, SpreadShown, StartPictures, StartsShown, StepPicture, StylesShown, Symmetry, TagsKept, TopCuttingShown, TopOrderShown, TopPlanned, TopStepsShown, TopShelf, TopJoinsShown, TopLensShown, TopLooksShown, TopRulerShown, TopShown, TopSizesShown, TopWorkShown, TurnNotPossible, HandsShown, UnpickCost, WallEdit, WallFigures, WallPlace, WallShown, WorkChanged, WorkEvent, WorkShown } from './types'

/** What went wrong, in the words to show. */
export class ProblemError extends Error {
  constructor(
    message: string,
    readonly code: string,
    readonly where: string,
    readonly turn: TurnNotPossible | null = null,
  ) {
    super(message)
    this.name = 'ProblemError'
  }
}

export const house = () => ask<HouseShown>('GET', '/house')

export const changeHouse = (part: Partial<HouseShown>) => ask<HouseShown>('PUT', '/house', { json: part })

/** What becomes of sizes when they are measured in the other unit. */
export type Switching = 'exactly' | 'sensibly'

/** Everything on the shelf in one unit of length. */
export const switchHouse = (units: HouseShown['units'], how: Switching) => ask<HouseSwitched>('POST', '/house/units', { json: { units, how } })

export const switchBlock = (block: number, version: number, units: HouseShown['units'], how: Switching) => ask<WallShown>('PUT', `/blocks/${block}/units`, { version, json: { units, how } })

export const shelf = () => ask<ShelfShown>('GET', '/blocks')

/** Sends the file as it is; the server reads it or says what is wrong with it. */
export const bringIn = (fileText: string) => ask<ShelfBlock>('POST', '/blocks', { text: fileText })

export const everythingAddress = '/api/everything'

/** Puts beside what stands on the shelf what the file holds besides. */
export const bringEverythingBack = (fileText: string) => ask<BroughtBack>('POST', '/everything', { text: fileText })

/** Her own words for finding it. */
export const tagBlock = (block: number, tags: string[]) => ask<TagsKept>('PUT', `/blocks/${block}/tags`, { json: { tags } }).then((answer) => answer.tags)

export const tagTop = (top: number, tags: string[]) => ask<TagsKept>('PUT', `/tops/${top}/tags`, { json: { tags } }).then((answer) => answer.tags)

export const takeOff = (block: number) => ask<null>('DELETE', `/blocks/${block}`)

export const putBack = (block: number) => ask<NamedBlock>('POST', `/blocks/${block}/restore`)

export const fileAddress = (block: number) => `/api/blocks/${block}/file`

export const photo = (block: number) => ask<PhotoShown>('GET', `/blocks/${block}/photo`)

export const takePhoto = (block: number, picture: Blob) => ask<PhotoShown>('PUT', `/blocks/${block}/photo`, { text: picture })

export const dropPhoto = (block: number) => ask<PhotoShown>('DELETE', `/blocks/${block}/photo`)

/** A made picture with a surprise in it. */
export const makeUpPhoto = (block: number) => ask<PhotoShown>('POST', `/blocks/${block}/photo/made`, { json: {} })

export const guessOnPhoto = (block: number, row: number, column: number) => ask<PhotoShown>('POST', `/blocks/${block}/photo/guess`, { json: { row, column } })

export const putCorners = (block: number, corners: number[][]) => ask<PhotoShown>('PUT', `/blocks/${block}/photo/corners`, { json: { corners } })

export const neverMind = (block: number, row: number, column: number, never: boolean) => ask<PhotoShown>('PUT', `/blocks/${block}/photo/minds`, { json: { row, column, never } })

/** What a file holds; nothing is kept of it. */
export const previewFile = (text: string) => ask<FilePreviewed>('POST', '/previews', { text })

/** The block that a drawing in SVG would become; its size as the drawing says, unless one is given. */
export const previewDrawing = (text: string, name: string, size?: { width: string; units: 'in' | 'mm' }) =>
  ask<FilePreviewed>('POST', `/previews?${asked({ name, ...size })}`, { text: new Blob([text], { type: 'image/svg+xml' }) })

/** A sheet that can be printed by itself. */
export type PaperKind = 'cut' | 'templates' | 'order' | 'press' | 'joins' | 'steps' | 'colouring'

interface OnShelf {
  kind: 'blocks' | 'tops'
  id: number
}

/** Where the sheets lie, once they are made. */
export const paper = (thing: OnShelf, kinds: PaperKind[]) => ask<PaperReady>('GET', `/${thing.kind}/${thing.id}/paper?sheets=${kinds.join(',')}`)

export const drawnAddress = (thing: OnShelf, side: 'face' | 'back' | 'outlines') => `/api/${thing.kind}/${thing.id}/${side}.svg`

export const listAddress = (thing: OnShelf, list: 'cut' | 'fabric' | 'joins', kind: 'csv' | 'json') => `/api/${thing.kind}/${thing.id}/lists/${list}.${kind}`

/** What lies at one of these addresses, once it is made. */
export const fileAt = (address: string) => ask<Blob>('GET', address.replace(/^\/api/, ''), {}, (response) => response.blob())

export const thingFileAddress = (thing: OnShelf) => `/api/${thing.kind}/${thing.id}/file`

/** A block or a top as a file keeps it. */
export const fileText = (thing: OnShelf) => ask<unknown>('GET', `/${thing.kind}/${thing.id}/file`).then((file) => JSON.stringify(file))

export const press = (block: number) => ask<PressAnswer>('GET', `/blocks/${block}/plan`).then(pressShown)

export const rail = (block: number) => ask<RailShown>('GET', `/blocks/${block}/rail`)

/** What the tops of a block ask of its outer seams. */
export const askedByTops = (block: number) => ask<AskedShown>('GET', `/blocks/${block}/tops`).then((answer) => answer.tops)

export const seamChoices = (block: number, join: number) =>
  ask<ChoicesShown>('GET', `/blocks/${block}/seams/${join}/choices`).then((answer) => answer.choices)

export const orders = (block: number) => ask<OrdersShown>('GET', `/blocks/${block}/orders`)

export const chooseOrder = (block: number, version: number, order: Order) =>
  ask<OrderChosen>('PUT', `/blocks/${block}/order`, { version, json: { order } })

/** One step on from the parts that stand apart; nothing is kept of it. */
export const growOrder = (block: number, step: { parts?: unknown[]; do?: 'sew' | 'twos' | 'open'; a?: number; b?: number; likes: boolean }) =>
  ask<GrowingShown>('POST', `/blocks/${block}/orders/grow`, { json: step })

export const keepOrder = (block: number, version: number, name: string, sew: unknown) => ask<OrderChosen>('PUT', `/blocks/${block}/orders/own`, { version, json: { name, sew } })

export const dropOrder = (block: number, version: number, name: string) => ask<OrderChosen>('DELETE', `/blocks/${block}/orders/own`, { version, json: { name } })

export const styles = (block: number) => ask<StylesShown>('GET', `/blocks/${block}/styles`)

export const chooseStyle = (block: number, version: number, style: PressStyle, lump?: number) =>
  ask<PressChanged>('PUT', `/blocks/${block}/style`, { version, json: { style, ...(lump === undefined ? {} : { lump }) } })

export const piles = (block: number) => ask<PilesShown>('GET', `/blocks/${block}/piles`)

export const choosePiles = (block: number, version: number, choice: PileChoice) =>
  ask<PressChanged>('PUT', `/blocks/${block}/piles`, { version, json: choice })

export const work = (block: number) => ask<WorkShown>('GET', `/blocks/${block}/work`)

export const stepPicture = (block: number, key: string) => ask<StepPicture>('GET', `/blocks/${block}/work/steps/${key}`)

/** Events that were sent before are not done again, so whatever was not answered may be sent once more. */
export const tellWork = (block: number, events: WorkEvent[], mark: string) => ask<WorkChanged>('POST', `/blocks/${block}/work/events`, { json: { events, mark } })

export const chooseChain = (block: number, chain: Chain) => ask<WorkShown>('PUT', `/blocks/${block}/work/chain`, { json: { chain } })

export const logbook = (block: number | null) => ask<LogbookShown>('GET', block === null ? '/logbook' : `/blocks/${block}/logbook`)

export const logbookAddress = (block: number | null, kind: 'csv' | 'json') => (block === null ? `/api/logbook.${kind}` : `/api/blocks/${block}/logbook.${kind}`)

/** Without a pile: which there are. */
export const wrongHands = (block: number, pile?: { unit: string; count: number }) => ask<HandsShown>('GET', `/blocks/${block}/work/hands${pile === undefined ? '' : `?unit=${pile.unit}&count=${pile.count}`}`)

export const unpickCost = (block: number, join: number) => ask<UnpickCost>('GET', `/blocks/${block}/work/unpicking/${join}`)

/** One direction for the whole seam, or one for each of its stretches. */
export const lockSeam = (block: number, version: number, join: number, directions: PressDirection[]) =>
  ask<PressChanged>('PUT', `/blocks/${block}/locks/${join}`, { version, json: { directions } })

export const lockSeams = (block: number, version: number, locks: LockAsked[]) => ask<PressChanged>('PUT', `/blocks/${block}/locks`, { version, json: { locks } })

export const keepRules = (block: number, version: number, rules: { text: string; on: boolean }[]) =>
  ask<PressChanged>('PUT', `/blocks/${block}/rules`, { version, json: { rules } })

/** What a rule would press and cost, before it is taken. */
export const priceRule = (block: number, rule: string) => ask<RulePriced>('GET', `/blocks/${block}/rules/price?rule=${encodeURIComponent(rule)}`)

export const ownBesidePlanned = (block: number) => ask<BesideShown>('GET', `/blocks/${block}/press/beside`)

export const pressAdvice = (block: number) => ask<AdviceShown>('GET', `/blocks/${block}/press/advice`)

export const chooseWay = (block: number, version: number, own: boolean) => ask<PressChanged>('PUT', `/blocks/${block}/press/way`, { version, json: { own } })

export const undoPress = (block: number, version: number) => ask<PressChanged>('POST', `/blocks/${block}/press/undo`, { version })

export const redoPress = (block: number, version: number) => ask<PressChanged>('POST', `/blocks/${block}/press/redo`, { version })

export const releaseSeam = (block: number, version: number, join: number) =>
  ask<PressChanged>('DELETE', `/blocks/${block}/locks/${join}`, { version })

export const releaseAll = (block: number, version: number) => ask<PressChanged>('DELETE', `/blocks/${block}/locks`, { version })

/** Lets those locks go whose seams are not there any more. */
export const releaseAsleep = (block: number, version: number) => ask<PressChanged>('DELETE', `/blocks/${block}/locks/asleep`, { version })

export const chooseRest = (block: number, version: number, rest: RestOfSeams) =>
  ask<PressChanged>('PUT', `/blocks/${block}/rest`, { version, json: { rest } })

export const starts = () => ask<StartsShown>('GET', '/starts')

/** What a block would be, while it is asked for; a problem's place is the field that cannot be read. */
export const startPictures = (block: Omit<NewBlock, 'name' | 'start'>) => ask<StartPictures>('GET', `/starts/pictures?${asked({ ...block, figure: block.figure ?? 'dark' })}`)

/** The block once more, in another size where one is given. */
export const copyBlock = (block: number, copy: CopyAsked) => ask<ShelfBlock>('POST', `/blocks/${block}/copy`, { json: copy })

export const tops = () => ask<TopShelf>('GET', '/tops')

/** Sends a top file as it is. */
export const bringInTop = (fileText: string) => ask<TopShown>('POST', '/tops', { text: fileText })

export const beginTop = (name: string, blocks: number[]) => ask<TopShown>('POST', '/tops/begin', { json: { name, blocks } })

export const top = (id: number) => ask<TopShown>('GET', `/tops/${id}`)

/** Fields of the top file in place of those that are there; null takes one away, places go over those that are there. */
export const changeTop = (id: number, version: number, change: Record<string, unknown>) => ask<TopShown>('PUT', `/tops/${id}`, { version, json: { change } })

export const undoTop = (id: number, version: number) => ask<TopShown>('POST', `/tops/${id}/undo`, { version })

export const takeBlockOfTop = (id: number, version: number, key: string) => ask<TopShown>('PUT', `/tops/${id}/blocks/${encodeURIComponent(key)}`, { version })

/** What it would be with nothing turned, or with one pile more of a block. */
export const planOfTop = (id: number, otherwise: { fixed: true } | { more: string } | null = null) =>
  ask<TopPlanned>('GET', `/tops/${id}/plan${otherwise === null ? '' : 'more' in otherwise ? `?more=${encodeURIComponent(otherwise.more)}` : '?fixed=1'}`)

export const stopPlanningTop = (id: number) => ask<null>('POST', `/tops/${id}/plan/stop`)

/** Has a plan that is not proved searched on. */
export const planTopOn = (id: number) => ask<null>('POST', `/tops/${id}/plan/on`)

export const cuttingOfTop = (id: number) => ask<TopCuttingShown>('GET', `/tops/${id}/cutting`)

export const stepsOfTop = (id: number) => ask<TopStepsShown>('GET', `/tops/${id}/steps`)

export const orderOfTop = (id: number, order: string, sashes: string) => ask<TopOrderShown>('GET', `/tops/${id}/order?order=${order}&sashes=${sashes}`)

export const sewTopBy = (id: number, version: number, sewing: { order: string; sashes: string; chain: string; preference?: string }) => ask<TopShown>('PUT', `/tops/${id}/sewing`, { version, json: sewing })

/** What of a top the planner leaves as it is, or that it is free again. */
export type TopHoldAsked = { what: 'place'; row: string; column: string; hold: boolean } | { what: 'pile'; pile: string; hold: boolean } | { what: 'seam-of-pile'; pile: string; join: number } | { what: 'seam'; join: number }
export const holdOfTop = (id: number, version: number, asked: TopHoldAsked) => ask<TopShown>('PUT', `/tops/${id}/holds`, { version, json: asked })

export const joinsOfTop = (id: number) => ask<TopJoinsShown>('GET', `/tops/${id}/joins`)

/** The ruler of one join of a top. */
export const rulerOfTop = (id: number, join: number) => ask<TopRulerShown>('GET', `/tops/${id}/joins/${join}`)

/** A crossing of long seams from near: the number counts the places to match along the join. */
export const lensOfTop = (id: number, join: number, number: number) => ask<TopLensShown>('GET', `/tops/${id}/joins/${join}/crossings/${number}`)

/** Which blocks of a top to look at twice. */
export const looksOfTop = (id: number) => ask<TopLooksShown>('GET', `/tops/${id}/looks`)

export const sizesOfTop = (id: number) => ask<TopSizesShown>('GET', `/tops/${id}/sizes`)

/** What a block of a top came out like, raw; empty texts when it is as planned. */
export const blockCameOut = (id: number, block: { row: string; column: string; along: string; beside: string }) => ask<TopSizesShown>('PUT', `/tops/${id}/sizes`, { json: block })

export const workOnTop = (id: number) => ask<TopWorkShown>('GET', `/tops/${id}/work`)

/** What was done with a step of a top; or that its sewing begins. */
export const tellTop = (id: number, deed: 'begin' | 'one' | 'done' | 'back', key = '') => ask<TopWorkShown>('POST', `/tops/${id}/work`, { json: { deed, ...(key === '' ? {} : { key }) } })

export const takeTopOff = (id: number) => ask<null>('DELETE', `/tops/${id}`)

export const putTopBack = (id: number) => ask<NamedBlock>('POST', `/tops/${id}/restore`)

export const begin = (block: NewBlock) => ask<ShelfBlock>('POST', '/starts', { json: block })

export const wall = (block: number, path: string) => ask<WallShown>('GET', `/blocks/${block}/wall?path=${path}`)

export const wallFigures = (block: number, path: string) => ask<WallFigures>('GET', `/blocks/${block}/wall/figures?path=${path}`)

export const lookTwice = (block: number, path: string, [row, column]: WallPlace) =>
  ask<LookTwiceShown>('GET', `/blocks/${block}/wall/impostors?path=${path}&row=${row}&column=${column}`)

/** alone: whether a change inside a small grid leaves those that are equal as they are. */
export const edit = (block: number, version: number, path: string, change: WallEdit, follow: Symmetry, alone: boolean) =>
  ask<WallShown>('POST', `/blocks/${block}/edits?path=${path}`, { version, json: { edit: change, follow, ...(alone ? { alone } : {}) } })

export const drawing = (block: number, path: string, [row, column]: WallPlace) =>
  ask<DrawingShown>('GET', `/blocks/${block}/wall/drawing?path=${path}&row=${row}&column=${column}`)

export const keepUnit = (block: number, path: string, [row, column]: WallPlace, name: string) =>
  ask<OwnTrayShown>('POST', `/blocks/${block}/tray?path=${path}`, { json: { name, row, column } })

export const dropUnit = (unit: number) => ask<OwnTrayShown>('DELETE', `/tray/${unit}`)

export const bringUnitBack = (unit: number) => ask<OwnTrayShown>('POST', `/tray/${unit}/restore`)

export const undo = (block: number, version: number, path: string) => ask<WallShown>('POST', `/blocks/${block}/undo?path=${path}`, { version })

export const redo = (block: number, version: number, path: string) => ask<WallShown>('POST', `/blocks/${block}/redo?path=${path}`, { version })

export const freezePicture = (block: number, version: number, path: string) => ask<WallShown>('PUT', `/blocks/${block}/picture?path=${path}`, { version })

export const dropPicture = (block: number, version: number, path: string) => ask<WallShown>('DELETE', `/blocks/${block}/picture?path=${path}`, { version })

export const meantSo = (block: number, version: number, path: string, places: WallPlace[]) =>
  ask<WallShown>('PUT', `/blocks/${block}/meant?path=${path}`, { version, json: { places } })

export const giveSwatch = (block: number, version: number, path: string, fabric: string, picture: Blob) =>
  ask<WallShown>('PUT', `/blocks/${block}/fabrics/${encodeURIComponent(fabric)}/swatch?path=${path}`, { version, text: picture })

export const takeSwatch = (block: number, version: number, path: string, fabric: string) =>
  ask<WallShown>('DELETE', `/blocks/${block}/fabrics/${encodeURIComponent(fabric)}/swatch?path=${path}`, { version })

export const cutting = (block: number) => ask<CuttingShown>('GET', `/blocks/${block}/cutting`)

export const chooseCutting = (block: number, version: number, choices: Partial<CuttingChoices>) =>
  ask<CuttingShown>('PUT', `/blocks/${block}/cutting`, { version, json: choices })

export const tickCut = (block: number, version: number, name: string, isDone: boolean) =>
  ask<CuttingShown>('PUT', `/blocks/${block}/cutting/done`, { version, json: { name, isDone } })

export const joins = (block: number) => ask<JoinsShown>('GET', `/blocks/${block}/joins`)

export const chooseSeams = (block: number, version: number, choice: SeamsChosen) =>
  ask<JoinsShown>('PUT', `/blocks/${block}/joins`, { version, json: choice })

export const testSeams = (block: number, version: number, test: SeamTestGiven) => ask<JoinsShown>('POST', `/blocks/${block}/seam-tests`, { version, json: test })

export const measurePart = (block: number, version: number, join: number, size: [string, string] | null) =>
  ask<JoinsChanged>('PUT', `/blocks/${block}/joins/${join}/measured`, { version, json: size === null ? {} : { width: size[0], height: size[1] } })

export const spread = (block: number, scatter: Record<'sewing' | 'cutting' | 'folding' | 'tolerance', string>) => ask<SpreadShown>('GET', `/blocks/${block}/joins/spread?${asked(scatter)}`)

const asked = (parts: Record<string, string>) => new URLSearchParams(parts).toString()

export const largestFrom = (block: number, size: string, as: 'square' | 'strip') => ask<LargestShown>('GET', `/blocks/${block}/cutting/largest?${asked({ size, as })}`)

export const atSizes = (block: number, sizes: string) => ask<SizesShown>('GET', `/blocks/${block}/cutting/sizes?${asked({ sizes })}`).then((answer) => answer.sizes)

export const fromPrecut = (block: number, width: string, height: string) =>
  ask<PrecutsShown>('GET', `/blocks/${block}/cutting/precut?${asked({ width, height })}`).then((answer) => answer.fabrics)

export const checkPattern = (block: number, text: string) => ask<PatternChecked>('POST', `/blocks/${block}/cutting/pattern`, { json: { text } })

export const swatchAddress = (name: string) => `/api/swatches/${name}`

/** The search that an answer waits for, while there is one. */
export const awaited = shallowRef<PlanningShown | null>(null)

export const planning = (key: string) => ask<PlanningShown>('GET', `/planning/${key}`)

export const stopPlanning = (key: string) => ask<PlanningShown>('POST', `/planning/${key}/stop`)

/** The next time the plan is asked for it is searched on. */
export const planOn = (key: string) => ask<PlanningShown>('POST', `/planning/${key}/on`)

/** Milliseconds between two looks at a search. */
const AGAIN = 1000

/** Milliseconds, far longer than any request lives: then nobody answers any more. */
const LONGEST = 60_000

interface Sent {
  json?: unknown
  text?: string | Blob
  /** The version of the block the change belongs to. */
  version?: number
}

/** @param read takes the answer out of what came; JSON where nothing else is said */
async function ask<Answer>(method: string, path: string, sent: Sent = {}, read: (response: Response) => Promise<unknown> = inJson): Promise<Answer> {
  const type = sent.text instanceof Blob && sent.text.type !== '' ? sent.text.type : 'application/json'
  const headers: Record<string, string> = { Accept: 'application/json', 'Content-Type': type }
  if (sent.version !== undefined) headers['If-Match'] = `"${sent.version}"`
  const send = async () => {
    try {
      return await fetch(`/api${path}`, { method, headers, body: sent.text ?? (sent.json === undefined ? undefined : JSON.stringify(sent.json)), signal: AbortSignal.timeout(LONGEST) })
    } catch (error) {
      throw error instanceof DOMException && error.name === 'TimeoutError'
        ? new ProblemError('Keen Seam takes too long to answer. Load the page again to see whether the change was made.', 'too-long', '')
        : new ProblemError('Keen Seam does not answer. See whether bin/start is still running, then try again.', 'no-answer', '')
    }
  }
  let response = await send()
  // Nothing was changed yet: another window was saving.
  for (let again = 0; again < 2 && response.status === 503 && response.headers.has('Retry-After'); again++) {
    await new Promise((resolve) => setTimeout(resolve, 1000 * Number(response.headers.get('Retry-After'))))
    response = await send()
  }
  // Nothing was changed yet: a worker is still at the plan. Whoever stops it gets the best so far.
  while (response.status === 202) {
    const told = (await response.json().catch(() => null)) as { planning?: PlanningShown } | null
    awaited.value = told?.planning ?? null
    await new Promise((resolve) => setTimeout(resolve, AGAIN))
    response = await send()
  }
  awaited.value = null
  if (response.status === 204) return null as Answer
  if (!response.ok) {
    const problem = problemFrom(await inJson(response))
    refused({ where: problem.where, words: problem.message })
    throw problem
  }
  const answer = await read(response)
  if (method !== 'GET') taken()
  return answer as Answer
}

const inJson = (response: Response): Promise<unknown> => response.json().catch(() => null)

function problemFrom(body: unknown): ProblemError {
  const told = (body ?? {}) as { message?: unknown; code?: unknown; where?: unknown; turn?: TurnNotPossible }
  const text = (value: unknown) => (typeof value === 'string' ? value : '')
  return new ProblemError(text(told.message) || 'Something went wrong here. Nothing was changed; try again.', text(told.code), text(told.where), told.turn ?? null)
}
