import type { PaperKind } from '@/api/client'

/** What can be taken along: a block or a top of the shelf. */
export interface Thing {
  kind: 'blocks' | 'tops'
  id: number
  name: string
}

export const sheets: { kind: PaperKind; words: string }[] = [
  { kind: 'cut', words: 'Cut and make' },
  { kind: 'templates', words: 'Templates' },
  { kind: 'order', words: 'Order' },
  { kind: 'press', words: 'Press' },
  { kind: 'joins', words: 'Joins' },
  { kind: 'steps', words: 'Steps' },
]

/** What a station's own sheet shows. */
export const sheetsAt: Record<string, PaperKind[]> = {
  wall: ['colouring'],
  cut: ['cut', 'templates'],
  order: ['order'],
  press: ['press'],
  joins: ['joins'],
  machine: ['steps'],
  top: ['order', 'press'],
}

/** Puts a file into the browser's downloads. */
export function keepFile(address: string, name = '') {
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
}

/** The same with what is at hand already. */
export function keepBlob(blob: Blob, name: string) {
  const address = URL.createObjectURL(blob)
  keepFile(address, name)
  setTimeout(() => URL.revokeObjectURL(address), 60_000)
}

const toText = (bytes: Uint8Array) => btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join('')).replaceAll('+', '-').replaceAll('/', '_').replace(/=+$/, '')
const toBytes = (text: string) => Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (letter) => letter.charCodeAt(0))
const through = (bytes: BlobPart, pipe: CompressionStream | DecompressionStream) => new Response(new Blob([bytes]).stream().pipeThrough(pipe)).arrayBuffer()

/** A whole file in a link. What stands behind the # is read by the browser that opens it and sent nowhere. */
export async function linkOf(fileText: string, origin: string): Promise<string> {
  return `${origin}/shared#${toText(new Uint8Array(await through(fileText, new CompressionStream('deflate-raw'))))}`
}

/** The file in such a link; null when it is not whole. */
export async function fileIn(hash: string): Promise<string | null> {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(await through(toBytes(hash.replace(/^#/, '')), new DecompressionStream('deflate-raw')))
  } catch {
    return null
  }
}
