/** Adds up the reports of Jest and Playwright, prints `N passed, N failed`, and fails when a test did or none ran. */
import { existsSync, readFileSync } from 'node:fs'

const [jestFile, playwrightFile] = process.argv.slice(2)
const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null)
const jest = read(jestFile)
const playwright = read(playwrightFile)
const ran =
  (jest?.numTotalTests ?? 0) > 0 &&
  (playwright?.stats?.expected ?? 0) + (playwright?.stats?.unexpected ?? 0) > 0
if (!ran) console.log('A part of the tests did not run.')
const passed =
  (jest?.numPassedTests ?? 0) + (playwright?.stats?.expected ?? 0) + (playwright?.stats?.flaky ?? 0)
const failed =
  (jest?.numFailedTests ?? 0) +
  (jest?.numRuntimeErrorTestSuites ?? 0) +
  (playwright?.stats?.unexpected ?? 0) +
  (playwright?.stats?.skipped ?? 0) +
  (playwright?.errors?.length ?? 0)
process.exitCode = ran && failed === 0 ? 0 : 1
console.log(`${passed} passed, ${failed} failed`)
