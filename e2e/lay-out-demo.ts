import { mkdtempSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { prepare } from '@/data/demo/prepare'

/** Lays the Lantern Shelf out once; every test file starts from a copy. */
export default function layOutDemo(): void {
  const root = mkdtempSync(path.join(os.tmpdir(), 'taut-e2e-'))
  process.env.TAUT_E2E_DEMO = path.join(root, 'demo')
  prepare(process.env.TAUT_E2E_DEMO, 'demo', DEMO_DATE)
}

export const DEMO_DATE = '2026-11-24T10:00'
