/** What a tree of TypeScript comes to: lines, lengths of functions and of components, casts, shares of tests. */
import { readFileSync } from 'node:fs'
import ts from 'typescript'

/** Lines count where something stands on them; a function's lines are those from its first to its last. */
export interface Sizes {
  readonly codeLines: number
  readonly testLines: number
  readonly functions: readonly { readonly where: string; readonly name: string; readonly lines: number }[]
  /** `as` beside `as const`, which asserts nothing; `as number` among them. */
  readonly casts: number
  readonly numberCasts: number
}

const isTest = (file: string): boolean =>
  /\.test\.tsx?$/.test(file) || file.startsWith('e2e/') || file.endsWith('.spec.ts')

const filledLines = (text: string): number => text.split('\n').filter((line) => line.trim() !== '').length

const isFunction = (node: ts.Node): node is ts.FunctionLikeDeclaration =>
  (ts.isFunctionDeclaration(node) ||
    ts.isFunctionExpression(node) ||
    ts.isArrowFunction(node) ||
    ts.isMethodDeclaration(node) ||
    ts.isConstructorDeclaration(node)) &&
  node.body !== undefined

function nameOf(node: ts.FunctionLikeDeclaration): string {
  if (node.name) return node.name.getText()
  const parent = node.parent
  return ts.isVariableDeclaration(parent) || ts.isPropertyAssignment(parent)
    ? parent.name.getText()
    : '(unnamed)'
}

/** The sizes of these files; paths are taken from the project's folder. Throws where a file cannot be read. */
export function measure(files: readonly string[]): Sizes {
  let [codeLines, testLines, casts, numberCasts] = [0, 0, 0, 0]
  const functions: { where: string; name: string; lines: number }[] = []
  for (const file of files) {
    const text = readFileSync(file, 'utf8')
    if (isTest(file)) {
      testLines += filledLines(text)
      continue
    }
    codeLines += filledLines(text)
    const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true)
    const look = (node: ts.Node): void => {
      if (ts.isAsExpression(node) && node.type.getText() !== 'const') {
        casts += 1
        if (node.type.getText() === 'number') numberCasts += 1
      }
      if (isFunction(node)) {
        const first = source.getLineAndCharacterOfPosition(node.getStart()).line
        const last = source.getLineAndCharacterOfPosition(node.end).line
        functions.push({ where: `${file}:${first + 1}`, name: nameOf(node), lines: last - first + 1 })
      }
      ts.forEachChild(node, look)
    }
    look(source)
  }
  functions.sort((a, b) => b.lines - a.lines)
  return { codeLines, testLines, functions, casts, numberCasts }
}
