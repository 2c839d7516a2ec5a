const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }

/** In a group of buttons that are radios the arrow keys go to the next one and choose it, as they do in every radio group. */
export function radioKeys(event: KeyboardEvent) {
  const group = event.currentTarget
  const step = STEPS[event.key]
  if (!(group instanceof HTMLElement) || step === undefined || event.ctrlKey || event.shiftKey || event.altKey || event.metaKey) return
  const radios = [...group.querySelectorAll<HTMLElement>('[role="radio"]:not([disabled])')]
  const at = radios.findIndex((radio) => radio === document.activeElement)
  const next = radios[(at + step + radios.length) % radios.length]
  if (at < 0 || next === undefined) return
  event.preventDefault()
  event.stopPropagation()
  next.focus()
  next.click()
}
