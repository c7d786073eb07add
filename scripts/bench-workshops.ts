/** The two houses that are measured against each other: the demo, and a workshop of three hundred instruments. */
import { cpSync, existsSync } from 'node:fs'
import path from 'node:path'
import { prepare, prepareWorkshop } from '@/data/demo/prepare'
import { DEMO_DATE } from './serve'

/** A fresh demo. */
export function demoWorkshop(work: string): string {
  const folder = path.join(work, 'demo')
  prepare(folder, 'demo', DEMO_DATE)
  return folder
}

/** A copy of the large workshop; it is laid out first where TAUT_LARGE names no folder that holds it. */
export function largeWorkshop(work: string): string {
  const kept = process.env.TAUT_LARGE ?? path.join(work, 'kept')
  if (!existsSync(kept)) prepareWorkshop(kept, 'demo', DEMO_DATE, { instruments: 300, years: 10, seed: 1 })
  const folder = path.join(work, 'large')
  cpSync(kept, folder, { recursive: true })
  return folder
}
