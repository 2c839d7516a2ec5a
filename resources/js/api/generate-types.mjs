// Writes the TypeScript types of the open formats from their JSON Schemas. Run by `npm run types`;
// a test fails when the written files do not match the schemas.
import { readFileSync, writeFileSync } from 'node:fs'
import { compile } from 'json-schema-to-typescript'

const here = new URL('./generated/', import.meta.url)

for (const name of ['block', 'plan', 'look', 'cut', 'joins', 'steps', 'log']) {
  const schema = JSON.parse(readFileSync(new URL(`../../../schema/${name}.schema.json`, import.meta.url), 'utf8'))
  delete schema.$id // would be fetched
  withoutConditions(schema)
  const types = await compile(schema, schema.title, {
    bannerComment: `// Generated from schema/${name}.schema.json by \`npm run types\`. Do not edit.`,
    additionalProperties: false,
    style: { semi: false, singleQuote: true },
  })
  const file = new URL(`${name}.ts`, here)
  if (process.argv.includes('--check')) {
    if (readFileSync(file, 'utf8') !== types) {
      console.error(`resources/js/api/generated/${name}.ts does not match its schema. Run "npm run types".`)
      process.exitCode = 1
    }
  } else {
    writeFileSync(file, types)
  }
}

/** Conditions and length limits narrow values, not shapes; the compiler would turn them into unreadable unions. */
function withoutConditions(node) {
  if (node === null || typeof node !== 'object') return
  const dropped = node.minItems === node.maxItems ? ['if', 'then', 'else'] : ['if', 'then', 'else', 'minItems', 'maxItems']
  dropped.forEach((key) => delete node[key])
  Object.values(node).forEach(withoutConditions)
}
