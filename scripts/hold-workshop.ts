/** The house’s folder, held while a command is at it. */
import { hold, type Hold } from '@/server/hold'

/** @throws Error with a sentence where somebody has it */
export function holdWorkshop(workshop: string, command: string): Hold {
  const held = hold(workshop, `${command}, process ${process.pid}`)
  if ('heldBy' in held)
    throw new Error(`The house is being served by ${held.heldBy}. Stop that first; nothing was touched.`)
  return held
}
