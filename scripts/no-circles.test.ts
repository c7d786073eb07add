/** No module of src imports itself round a corner, types included: whoever reads one can begin somewhere. */
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'

const FILES = readdirSync('src', { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.tsx?$/.test(file) && !file.includes('.test.'))
  .map((file) => path.join('src', file))

/** The modules of src that a module imports. */
function importsOf(file: string): readonly string[] {
  return ts.preProcessFile(readFileSync(file, 'utf8')).importedFiles.flatMap(({ fileName }) => {
    if (!/^[.@]\.?\//.test(fileName)) return []
    const base = fileName.startsWith('@/')
      ? path.join('src', fileName.slice(2))
      : path.join(path.dirname(file), fileName)
    return ['.ts', '.tsx'].map((end) => base + end).filter((one) => existsSync(one))
  })
}

/** The way round a circle, or null. */
function circleIn(graph: ReadonlyMap<string, readonly string[]>): readonly string[] | null {
  const done = new Set<string>()
  const visit = (file: string, way: readonly string[]): readonly string[] | null => {
    if (way.includes(file)) return [...way.slice(way.indexOf(file)), file]
    if (done.has(file)) return null
    for (const next of graph.get(file) ?? []) {
      const circle = visit(next, [...way, file])
      if (circle) return circle
    }
    done.add(file)
    return null
  }
  for (const file of graph.keys()) {
    const circle = visit(file, [])
    if (circle) return circle
  }
  return null
}

test('modules import one way', () => {
  expect(FILES.length).toBeGreaterThan(300)
  expect(circleIn(new Map(FILES.map((file) => [file, importsOf(file)])))).toBeNull()
  expect(circleIn(new Map([['a', ['b']], ['b', ['c']], ['c', ['b']]]))).toEqual(['b', 'c', 'b']) // prettier-ignore
})
