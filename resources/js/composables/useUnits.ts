import { computed, inject, provide, type ComputedRef, type InjectionKey } from 'vue'

export type Units = 'in' | 'mm'

const UNITS: InjectionKey<ComputedRef<Units>> = Symbol('units')

/** The unit of length of what a screen shows, for all numbers on it. */
export const provideUnits = (units: () => Units | undefined) => provide(UNITS, computed(() => units() ?? 'in'))

export const useUnits = () => inject(UNITS, computed<Units>(() => 'in'))
