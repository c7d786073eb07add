/** `npm run size`: what the code comes to, on paper that CONTRIBUTING's table is filled from. */
import { execFileSync } from 'node:child_process'
import { measure } from './measure'

/** The longest are listed, so many of them. */
const LISTED = 15

const files = execFileSync('git', ['ls-files', 'src', 'scripts', 'e2e'], { encoding: 'utf8' })
  .split('\n')
  .filter((file) => /\.tsx?$/.test(file))
const { codeLines, testLines, functions, casts, numberCasts } = measure(files)
const over = (lines: number): number => functions.filter((one) => one.lines > lines).length
const percentile = (share: number): number =>
  functions[Math.floor(functions.length * (1 - share))]?.lines ?? 0

console.log(`${codeLines} lines of code that are not empty, ${testLines} of tests:`)
console.log(`  tests are ${((100 * testLines) / (codeLines + testLines)).toFixed(1)} % of both.`)
console.log(
  `${casts} casts (${numberCasts} to number): ${((1000 * casts) / codeLines).toFixed(1)} in a thousand lines.`,
)
console.log(
  `${functions.length} functions, nine of ten up to ${percentile(0.9)} lines; ${over(60)} over 60, ${over(80)} over 80.`,
)
for (const { where, name, lines } of functions.slice(0, LISTED)) console.log(`  ${lines}  ${name}  ${where}`)
