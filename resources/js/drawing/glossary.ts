/** A word of the trade or of this program, as it is explained wherever it stands. */
export interface Word {
  word: string
  /** Other ways to say it, and what one would look for. */
  also: string[]
  means: string
  /** The picture that goes with it, if one helps. */
  drawing?: Drawing
}

export type Drawing = 'nested' | 'stacked' | 'lopsided' | 'flat' | 'furl' | 'lump' | 'folded' | 'shadow' | 'to-a-side' | 'open' | 'half-square-triangle' | 'quarter-square-triangle' | 'flying-geese' | 'square-in-square' | 'hands' | 'turn' | 'tip' | 'match' | 'bias' | 'dog-ear' | 'chain' | 'on-point' | 'sashes' | 'raw'

const WORDS = {
  furl: { word: 'Furl', also: ['spin', 'wheel'], means: 'At a crossing the few stitches inside the allowance are opened, so that the last seam changes sides there and all allowances turn the same way round, like a wheel. It lies flatter; it is only possible where the ridges nest.', drawing: 'furl' },
  lump: { word: 'By the lump', also: ['mixed', 'school'], means: 'A school of pressing: seams are pressed to a side so that ridges nest, and a whole seam is opened only where more layers would lie on each other than you allow.', drawing: 'lump' },
  nest: { word: 'Nest', also: ['school', 'to a side'], means: 'A school of pressing: every seam to a side, so that the ridges of neighbouring rows lie against each other and lock.', drawing: 'nested' },
  dark: { word: 'Dark', also: ['school', 'to the dark side'], means: 'A school of pressing: every seam toward the darker cloth, so that nothing shows through the lighter one.', drawing: 'shadow' },
  open: { word: 'Open', also: ['pressed open', 'school'], means: 'Both allowances lie apart, one under each side. It is the flattest, but nothing locks: crossings are held with a pin, and a short seam is hard to open.', drawing: 'open' },
  school: { word: 'School of pressing', also: ['style'], means: 'What a quilter holds to at the iron: to a side, to the dark, open, or a mixture. The plan is the best one within the school you choose.' },
  nested: { word: 'Nested', also: ['to nest', 'butted', 'locked'], means: 'Two ridges lie against each other from opposite sides. Your fingers feel them lock, and the seams meet without a pin.', drawing: 'nested' },
  stacked: { word: 'Stacked', also: ['ridge on ridge'], means: 'Both allowances lie to the same side, ridge on ridge. It is thick, and the seams slip past each other unless they are pinned.', drawing: 'stacked' },
  lopsided: { word: 'Lopsided', also: ['one side open'], means: 'One seam is pressed open and the other to a side. There is half a ridge to feel.', drawing: 'lopsided' },
  flat: { word: 'Flat', also: ['open to open'], means: 'Both seams are pressed open. It is thin, but nothing locks: put a pin through both seams.', drawing: 'flat' },
  crossing: { word: 'Crossing', also: ['intersection', 'junction'], means: 'A place where seams of both sides of a join meet, or where three or more patches come together.', drawing: 'match' },
  layers: { word: 'Layers', also: ['plies', 'thickness', 'bulk'], means: 'How many layers of cloth lie on each other at a place. Around a crossing of four patches they are four on the average, however it is pressed; pressing only decides how evenly.', drawing: 'lump' },
  folded: { word: 'Seam ends folded back', also: ['folded', 'plainer side'], means: 'Where a seam ends at a join and the side it belongs to is the one pressed over, its end is folded back on itself and is twice as thick. Pressing toward the plainer side avoids it.', drawing: 'folded' },
  shadow: { word: 'Shadow', also: ['show through'], means: 'The length of seams whose allowance lies under lighter cloth than its own, where it may show through. Less is better.', drawing: 'shadow' },
  pile: { word: 'Pile', also: ['class', 'two piles'], means: 'Units that are the same are pressed alike, as one pile at the iron. Two piles of one unit, pressed opposite ways, sometimes nest where one cannot.' },
  lock: { word: 'Lock', also: ['locked seam'], means: 'You decide how a seam is pressed, and the plan goes round it: the best there is with what you locked.' },
  ruler: { word: 'Seam ruler', also: ['join'], means: 'One join drawn along a ruler: where seams of both sides end, what must meet, and how far each place is from the start.', drawing: 'match' },
  match: { word: 'Points to match', also: ['match point'], means: 'Places along a join where seams of both sides end and must meet. Fewer are quicker.', drawing: 'match' },
  tip: { word: 'Tip', also: ['point', 'sharp point'], means: 'The sharp end of a patch that touches a seam. Sew a thread too deep and it is cut off; a thread too shallow and it floats.', drawing: 'tip' },
  learn: { word: 'Joins to learn', also: ['different joins', 'kinds of join'], means: 'How many different joins there are in this order. Every one that comes several times is chain pieced: learn it once, sew it many times.', drawing: 'chain' },
  bias: { word: 'On the bias', also: ['bias edge', 'stretch'], means: 'An edge cut slanting to the weave. It stretches under the hand and the iron: press it up and down, never slide.', drawing: 'bias' },
  trips: { word: 'To the machine, to the iron', also: ['trips', 'batches'], means: 'How often you go from one to the other when everything that can be sewn at once is sewn in one chain.', drawing: 'chain' },
  chain: { word: 'Chain piecing', also: ['chain', 'webbed'], means: 'Pairs are fed through the machine one after the other without cutting the thread between them. Webbed: the rows stay joined by their threads until all are sewn.', drawing: 'chain' },
  raw: { word: 'Finished and raw', also: ['unfinished', 'raw edge'], means: 'Finished is the size once it is sewn into its neighbours; raw is the size now, from cut edge to cut edge: a seam allowance more on every side.', drawing: 'raw' },
  allowance: { word: 'Seam allowance', also: ['quarter inch'], means: 'What lies between the stitches and the cut edge: 1/4 in, or 6 to 7.5 mm.', drawing: 'raw' },
  'take-up': { word: 'Take-up', also: ['scant', 'seam test'], means: 'What one seam really takes from the width: two allowances and the little that is lost in the fold. A scant seam, a thread narrower, makes up for the fold.', drawing: 'raw' },
  'square-up': { word: 'Square up', also: ['trim'], means: 'A unit is made a little too large and trimmed to its exact raw size, with the ruler laid on its diagonal or middle.', drawing: 'dog-ear' },
  'dog-ear': { word: 'Dog ear', also: ['ear'], means: 'The tip of allowance that sticks out past the edge after a slanting seam. Trim it: it is in the way of the next one.', drawing: 'dog-ear' },
  'half-square-triangle': { word: 'Half-square triangle', also: ['two triangles'], means: 'A square of two triangles, sewn along the diagonal.', drawing: 'half-square-triangle' },
  'quarter-square-triangle': { word: 'Quarter-square triangle', also: ['four triangles'], means: 'A square of four triangles that meet in the middle.', drawing: 'quarter-square-triangle' },
  'flying-geese': { word: 'Flying geese', also: ['goose', 'sky'], means: 'A large triangle, the goose, between two small ones, its sky. It is twice as wide as it is high.', drawing: 'flying-geese' },
  'square-in-square': { word: 'Square in a square', also: ['on point'], means: 'A square that stands on its tip, with a triangle at each of its sides.', drawing: 'square-in-square' },
  hand: { word: 'Hand', also: ['left-handed', 'right-handed', 'mirror twin'], means: 'Some units cannot be turned into their mirror image, like a left and a right glove. They are cut and sewn apart and must not be mixed up.', drawing: 'hands' },
  turn: { word: 'Turn', also: ['mirrored', 'quarter turn'], means: 'How a unit lies: quarter turns clockwise, and whether it is the mirror image.', drawing: 'turn' },
  'look-twice': { word: 'Look twice', also: ['look-alike', 'odd one'], means: 'A unit that would still fit if it lay otherwise: the edge you sew looks the same, so the eye does not notice. The picture shows what to look at.', drawing: 'turn' },
  alike: { word: 'Looks alike, built otherwise', also: ['built alike'], means: 'Two units show the same picture, but their seams do not lie in the same places. They are made and pressed apart.' },
  'on-point': { word: 'On point', also: ['setting'], means: 'Blocks of a top stand on their tips; it is sewn in slanting rows, with triangles or half blocks at the sides.', drawing: 'on-point' },
  sashes: { word: 'Sashes and cornerstones', also: ['sashing', 'setting'], means: 'Strips between the blocks of a top, and the small squares where they cross.', drawing: 'sashes' },
  grain: { word: 'Straight grain', also: ['weave', 'grain'], means: 'The way the threads run. An edge along it keeps its length; keep it at the outside of units and blocks.', drawing: 'bias' },
  mend: { word: 'Odd one, and to mend', also: ['symmetry'], means: 'A unit that breaks how the rest of the block lies. If it is not meant so, one touch lays it right.', drawing: 'turn' },
} satisfies Record<string, Word>

export type WordKey = keyof typeof WORDS

export const word = (key: WordKey): Word => WORDS[key]

/** Sorted by the alphabet. */
export const allWords = (): [WordKey, Word][] => (Object.entries(WORDS) as [WordKey, Word][]).sort((a, b) => a[1].word.localeCompare(b[1].word))

const plain = (text: string) => text.toLowerCase()

/** Those whose name, or other names, hold what is looked for first, then those that speak of it. */
export function wordsFor(look: string): [WordKey, Word][] {
  const wanted = plain(look).trim()
  const names = ([, one]: [WordKey, Word]) => plain([one.word, ...one.also].join(' '))
  const all = allWords()
  const named = all.filter((one) => names(one).includes(wanted))
  return wanted === '' ? all : [...named, ...all.filter((one) => !named.includes(one) && plain(one[1].means).includes(wanted))]
}
