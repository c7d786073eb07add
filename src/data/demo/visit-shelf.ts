/**
 * A look around the Lantern Shelf from a house of one's own: the demo is laid in a folder of its own, and nothing done
 * there touches the house.
 */
import path from 'node:path'
import { workshopFolder, visit } from '../store/database'
import { prepare } from './prepare'

/** Lays the Lantern Shelf out, where that was not done before, and serves it. */
export function visitShelf(): void {
  const folder = path.join(workshopFolder(), 'lantern-shelf')
  prepare(folder, path.join(process.cwd(), 'demo'), process.env.TAUT_DEMO_DATE)
  visit(folder)
}
