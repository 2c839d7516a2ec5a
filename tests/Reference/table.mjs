// Reads a comma separated table from standard input with csv-parse, a general-purpose reader of RFC 4180;
// prints its lines as objects, with every time as milliseconds as the language's own Date reads it.
import { readFileSync } from 'node:fs'
import { parse } from 'csv-parse/sync'

const lines = parse(readFileSync(0, 'utf8'), { columns: true, relax_column_count: false, bom: true })
process.stdout.write(JSON.stringify(lines.map((line) => ({ ...line, at: new Date(line.at).getTime() }))))
