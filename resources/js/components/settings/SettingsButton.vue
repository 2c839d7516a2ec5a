<script setup lang="ts">
import { useHouseStore } from '@/stores/house'

const house = useHouseStore()
</script>

<template>
  <button type="button" class="rail-button settings-button" aria-haspopup="dialog" @click="house.isOpen = true">
    <svg viewBox="0 0 20 20" aria-hidden="true"><path d="M2 5.5 H11 M15 5.5 H18 M2 14.5 H5 M9 14.5 H18" /><circle cx="13" cy="5.5" r="2" /><circle cx="7" cy="14.5" r="2" /></svg><span>Settings</span>
  </button>
</template>
