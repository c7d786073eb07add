/** What the program tells its door, which runs before it in the same process; and what it does by itself while it runs. */
const HOUR = 3_600_000

export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { closeHouse, houseTrouble, ownStore } = await import('@/data/store/database')
  Object.assign(globalThis, { tautTrouble: houseTrouble, tautClose: closeHouse })
  // The demo is laid anew whenever one likes: nobody needs it backed up.
  if (process.env.TAUT_DEMO_DATE) return
  const { takeDailyBackup } = await import('@/data/backup/take-backup')
  const { isBegun } = await import('@/data/house/house')
  const backUp = async () => {
    try {
      if (houseTrouble() === null && isBegun(ownStore())) await takeDailyBackup(ownStore())
    } catch (error) {
      process.stderr.write(`The day’s backup could not be taken: ${(error as Error).message}\n`)
    }
  }
  setTimeout(() => void backUp(), HOUR / 60).unref()
  setInterval(() => void backUp(), HOUR).unref()
}
