import type { Directive } from 'vue'

/** What a control does, told by TipBubble and to whoever has the screen read out. */
export const tip: Directive<HTMLElement, string> = (element, { value, oldValue }) => {
  if (value === oldValue) return
  element.dataset.tip = value
  element.setAttribute('aria-description', value)
}

declare module 'vue' {
  interface GlobalDirectives {
    vTip: typeof tip
  }
}
