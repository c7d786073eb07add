/** Migrates the data folder, and loads the demo where there is nothing yet. */
import path from 'node:path'
import { openStore } from '@/data/store/database'
import { prepare } from '@/data/demo/prepare'

const folder = process.env.TAUT_DATA ?? path.join(process.cwd(), 'data')
try {
  const { loaded } = prepare(folder, path.join(process.cwd(), 'demo'), process.env.TAUT_DEMO_DATE)
  openStore({ folder, demoDate: process.env.TAUT_DEMO_DATE }).close()
  console.log(loaded ? `The Lantern Shelf is laid out in ${folder}.` : `Going on with what is in ${folder}.`)
} catch (error) {
  console.error((error as Error).message)
  process.exit(1)
}
