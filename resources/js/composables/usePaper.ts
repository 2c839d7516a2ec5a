import { onScopeDispose, ref } from 'vue'
import { awaited, paper, type PaperKind } from '@/api/client'
import type { Thing } from '@/drawing/along'
import { keepFile } from '@/drawing/along'

/** Asks for sheets and puts the PDF into the downloads; tells how far they are. */
export function usePaper(thing: () => Thing) {
  const isBusy = ref(false)
  const problem = ref<string | null>(null)
  async function print(kinds: PaperKind[]) {
    if (isBusy.value) return
    isBusy.value = true
    problem.value = null
    try {
      const ready = await paper(thing(), kinds)
      keepFile(ready.address)
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    } finally {
      isBusy.value = false
    }
  }
  return { isBusy, problem, awaited, print }
}

/**
 * The browser's own print gives the sheets of this screen: they are asked for the moment it begins, and put in place of
 * everything else until it is over.
 */
export function usePrintedSheets(asked: () => { thing: Thing; kinds: PaperKind[] } | null) {
  let sheet: HTMLElement | null = null
  /** Printing does not wait for anything, so this must. */
  function fetched(address: string): { status: number; text: string } {
    const request = new XMLHttpRequest()
    request.open('GET', address, false)
    request.send()
    return { status: request.status, text: request.responseText }
  }
  function put() {
    const what = asked()
    if (what === null || sheet !== null) return
    sheet = document.createElement('div')
    sheet.className = 'printed-sheets'
    try {
      const ready = fetched(`/api/${what.thing.kind}/${what.thing.id}/paper?as=html&sheets=${what.kinds.join(',')}`)
      const told = JSON.parse(ready.text) as { address?: string; paper?: string; message?: string }
      if (ready.status === 200 && told.address !== undefined) {
        sheet.innerHTML = `<style>@page { size: ${told.paper}; margin: 0 }</style>${fetched(told.address).text}`
      } else {
        sheet.textContent = told.message ?? 'The sheets of this one are many and are being made. Wait a little and print again.'
      }
    } catch {
      sheet.textContent = 'Keen Seam does not answer. See whether bin/start is still running, then print again.'
    }
    document.body.append(sheet)
    document.documentElement.classList.add('prints-sheets')
  }
  function take() {
    sheet?.remove()
    sheet = null
    document.documentElement.classList.remove('prints-sheets')
  }
  window.addEventListener('beforeprint', put)
  window.addEventListener('afterprint', take)
  onScopeDispose(() => {
    window.removeEventListener('beforeprint', put)
    window.removeEventListener('afterprint', take)
    take()
  })
}
