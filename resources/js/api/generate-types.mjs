// Writes the TypeScript types of the open formats, and of what the server tells the screens, from their JSON Schemas. Run by `npm run types`;
// a test fails when the written files do not match the schemas.
import { readFileSync, writeFileSync } from 'node:fs'
import { compile } from 'json-schema-to-typescript'

const here = new URL('./generated/', import.meta.url)

for (const name of ['block', 'top', 'plan', 'look', 'cut', 'joins', 'steps', 'log', 'screens']) {
  const schema = JSON.parse(readFileSync(new URL(`../../../schema/${name}.schema.json`, import.meta.url), 'utf8'))
  delete schema.$id // would be fetched
  withoutConditions(schema)
  const isOfScreens = 'answers' in schema
  if (isOfScreens) Object.assign(schema, { type: 'object', additionalProperties: false })
  const written = await compile(schema, schema.title, {
    unreachableDefinitions: isOfScreens,
    bannerComment: `// Generated from schema/${name}.schema.json by \`npm run types\`. Do not edit.`,
    additionalProperties: false,
    $refOptions: { resolve: { own: { order: 1, canRead: /^keen-seam:/, read: ({ url }) => ownSchema(url) } } },
    style: { semi: false, singleQuote: true },
  })
  const types = isOfScreens ? withoutNoise(written) : written
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

/** A schema of ours that another one names: "keen-seam:block". */
function ownSchema(url) {
  const schema = JSON.parse(readFileSync(new URL(`../../../schema/${url.replace(/^keen-seam:|#.*$/g, '')}.schema.json`, import.meta.url), 'utf8'))
  delete schema.$id
  withoutConditions(schema)
  return schema
}

/** Conditions and length limits narrow values, not shapes; the compiler would turn them into unreadable unions. */
function withoutConditions(node) {
  if (node === null || typeof node !== 'object') return
  const dropped = [...('if' in node ? ['if', 'then', 'else'] : []), ...(node.minItems === node.maxItems ? [] : ['minItems', 'maxItems'])]
  dropped.forEach((key) => delete node[key])
  Object.values(node).forEach(withoutConditions)
}

/** The compiler tells of each type where it came from, and how long its lists are, which the types say already. */
function withoutNoise(types) {
  return types.replaceAll(/^ *\/\*\*\n(?: *\*.*\n)*? *\*\/\n/gm, (comment) => {
    const lines = comment.split('\n').slice(1, -2)
    const told = lines.filter((line) => !/\* (This interface was referenced by|via the `definition`|@(min|max)Items)|\*$/.test(line))
    if (told.length === 0) return ''
    const indent = comment.match(/^ */)[0]
    return told.length === 1 ? `${indent}/** ${told[0].replace(/^ *\* /, '')} */\n` : [`${indent}/**`, ...told, `${indent} */`, ''].join('\n')
  })
}
