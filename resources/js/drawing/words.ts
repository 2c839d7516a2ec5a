import type { Nesting, PressStyle } from '@/api/types'

/** The one legend: the same words wherever a state is named. */
export const nestingWords: Record<Nesting, { word: string; means: string }> = {
  nested: { word: 'nested', means: 'ridges lock' },
  stacked: { word: 'stacked', means: 'ridge on ridge' },
  lopsided: { word: 'lopsided', means: 'one side open' },
  flat: { word: 'flat', means: 'open to open: pin' },
}

export const styleWords: Record<PressStyle, string> = {
  nest: 'Nest',
  'nest-furl': 'Furl',
  mixed: 'By the lump',
  dark: 'Dark',
  open: 'Open',
}

export const counted = (count: number, one: string, several = `${one}s`): string => `${count} ${count === 1 ? one : several}`

/** To one place behind the point. */
export const percent = (share: number): string => `${Math.round(share * 1000) / 10} %`
