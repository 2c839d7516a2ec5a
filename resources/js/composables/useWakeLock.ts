import { onMounted, onUnmounted } from 'vue'

/** Keeps the screen awake while it is shown, where the browser allows that. */
export function useWakeLock() {
  let lock: WakeLockSentinel | null = null
  const ask = async () => {
    if (document.visibilityState === 'visible' && 'wakeLock' in navigator) lock = await navigator.wakeLock.request('screen').catch(() => null)
  }
  onMounted(() => {
    void ask()
    document.addEventListener('visibilitychange', ask)
  })
  onUnmounted(() => {
    document.removeEventListener('visibilitychange', ask)
    void lock?.release()
  })
}
