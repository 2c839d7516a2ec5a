import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  base: '/build/',
  publicDir: false,
  plugins: [vue()],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
  build: {
    outDir: 'public/build',
    emptyOutDir: true,
    manifest: 'manifest.json',
    rollupOptions: { input: 'resources/js/main.ts' },
  },
  // Element Plus brings style sheets, which Node does not read by itself.
  test: { include: ['tests/Frontend/**/*.test.ts'], server: { deps: { inline: ['element-plus'] } } },
})
