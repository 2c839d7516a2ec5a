import { watchEffect } from 'vue'
import { useKept } from './useKept'

export type TypeSize = 'usual' | 'larger' | 'largest'

const GROWTH: Record<TypeSize, number> = { usual: 1, larger: 1.15, largest: 1.3 }

export const useTypeSize = () => useKept<TypeSize>('type-size', 'usual')

/** All sizes of type are multiples of one number, see vite.config.ts. */
export function useTypeGrowth() {
  const size = useTypeSize()
  watchEffect(() => document.documentElement.style.setProperty('--type', String(GROWTH[size.value])))
}
