import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

/** Sizes of type grow with one number that the quilter chooses: every "16px" of them becomes "calc(16px * var(--type, 1))". */
const growingType = {
  postcssPlugin: 'growing-type',
  Declaration: (declaration: { prop: string; value: string }) => {
    if (/^(font|font-size|--el-font-size-.+)$/.test(declaration.prop) && !declaration.value.includes('var(--type')) {
      declaration.value = declaration.value.replace(/(?<![\w.-])(\d+(?:\.\d+)?px)/g, 'calc($1 * var(--type, 1))')
    }
  },
}

export default defineConfig({
  base: '/build/',
  publicDir: false,
  plugins: [vue()],
  css: { postcss: { plugins: [growingType] } },
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
