import { readFileSync, writeFileSync } from 'node:fs'

/** Prints a table and puts it between its marks in a document. */
export function writeTable(mark: string, lines: readonly string[], document = 'docs/PERFORMANCE.md'): void {
  const table = lines.join('\n')
  console.log(table)
  const [begin, finish] = [`<!-- ${mark} -->\n`, `<!-- /${mark} -->`]
  const text = readFileSync(document, 'utf8')
  const [from, to] = [text.indexOf(begin), text.indexOf(finish)]
  if (from < 0 || to < from) throw new Error(`expected the marks of “${mark}” in ${document}`)
  writeFileSync(document, `${text.slice(0, from + begin.length)}${table}\n${text.slice(to)}`)
}
