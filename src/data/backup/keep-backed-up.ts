/** The day’s backup, looked after while the program runs. */
import { HOUR, MINUTE } from '@/core/units/time'
import { isBegun } from '../workshop/settings'
import { workshopTrouble, ownStore } from '../store/database'
import { takeDailyBackup } from './take-backup'

/** Looks a minute after the start, and every hour, whether a backup is due; says why where one could not be taken. */
export function keepBackedUp(): void {
  const backUp = async () => {
    try {
      if (workshopTrouble() === null && isBegun(ownStore())) await takeDailyBackup(ownStore())
    } catch (error) {
      process.stderr.write(`The day’s backup could not be taken: ${(error as Error).message}\n`)
    }
  }
  setTimeout(() => void backUp(), MINUTE).unref()
  setInterval(() => void backUp(), HOUR).unref()
}
