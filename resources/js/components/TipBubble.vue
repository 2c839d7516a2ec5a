<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { ElTooltip } from 'element-plus/es/components/tooltip/index'
import 'element-plus/es/components/tooltip/style/css'

/** The one bubble that tells what a control does: while the pointer rests on it, while the keyboard is at it, while a finger holds it. */
const AFTER = 500

const at = shallowRef<HTMLElement | null>(null)
const words = ref('')
const isOpen = ref(false)
let timer: ReturnType<typeof setTimeout> | undefined

const tipped = (target: EventTarget | null) => (target instanceof Element ? target.closest<HTMLElement>('[data-tip]') : null)

function show(element: HTMLElement, after: number) {
  clearTimeout(timer)
  timer = setTimeout(() => {
    ;[at.value, words.value] = [element, element.dataset.tip ?? '']
    isOpen.value = words.value !== '' && element.isConnected
  }, after)
}

function hide() {
  clearTimeout(timer)
  isOpen.value = false
}

const listeners: Partial<Record<keyof DocumentEventMap, (event: Event) => void>> = {
  pointerover: (event) => {
    const element = tipped(event.target)
    if (element === null) hide()
    else if (element !== at.value || !isOpen.value) show(element, AFTER)
  },
  pointerup: hide,
  pointercancel: hide,
  focusin: (event) => {
    const element = tipped(event.target)
    if (element?.matches(':focus-visible')) show(element, 0)
    else hide()
  },
  focusout: hide,
  keydown: (event) => event instanceof KeyboardEvent && event.key === 'Escape' && hide(),
  scroll: hide,
}
onMounted(() => Object.entries(listeners).forEach(([name, listener]) => document.addEventListener(name, listener, { capture: true, passive: true })))
onBeforeUnmount(() => {
  hide()
  Object.entries(listeners).forEach(([name, listener]) => document.removeEventListener(name, listener, { capture: true }))
})
</script>

<template>
  <ElTooltip v-if="at" :visible="isOpen" :content="words" :virtual-ref="at" virtual-triggering placement="top" effect="light" :persistent="false" />
</template>
