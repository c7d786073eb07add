import { execFileSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { DEMO_DATE } from '../scripts/serve'

/** Lays the Lantern Shelf out once, as `bin/demo` does; every worker starts from a copy. */
export default function layOutDemo(): void {
  process.env.TAUT_E2E_DEMO = path.join(mkdtempSync(path.join(os.tmpdir(), 'taut-e2e-')), 'demo')
  execFileSync(process.execPath, ['--import', 'tsx', 'scripts/prepare.ts'], {
    env: { ...process.env, TAUT_DATA: process.env.TAUT_E2E_DEMO, TAUT_DEMO_DATE: DEMO_DATE },
    stdio: 'inherit',
  })
}
