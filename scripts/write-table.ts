import { readFileSync, writeFileSync } from 'node:fs'

const DOCUMENT = 'docs/PERFORMANCE.md'

/** Prints a table and puts it between its marks in docs/PERFORMANCE.md. */
export function writeTable(mark: string, lines: readonly string[]): void {
  const table = lines.join('\n')
  console.log(table)
  const [begin, finish] = [`<!-- ${mark} -->\n`, `<!-- /${mark} -->`]
  const text = readFileSync(DOCUMENT, 'utf8')
  const [from, to] = [text.indexOf(begin), text.indexOf(finish)]
  if (from < 0 || to < from) throw new Error(`expected the marks of “${mark}” in ${DOCUMENT}`)
  writeFileSync(DOCUMENT, `${text.slice(0, from + begin.length)}${table}\n${text.slice(to)}`)
}
