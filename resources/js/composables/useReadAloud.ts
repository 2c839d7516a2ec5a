import { onUnmounted, watch, type Ref } from 'vue'

/** Reads a text with the browser's own voice whenever it changes, while that is wanted and where the browser can. */
export function useReadAloud(text: Readonly<Ref<string>>, isWanted: Readonly<Ref<boolean>>) {
  if (!('speechSynthesis' in window)) return
  watch([text, isWanted], () => {
    window.speechSynthesis.cancel()
    if (isWanted.value && text.value !== '') window.speechSynthesis.speak(new SpeechSynthesisUtterance(text.value))
  })
  onUnmounted(() => window.speechSynthesis.cancel())
}
