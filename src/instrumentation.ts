/** What the program tells the server, which runs before it in the same process; and what it does by itself while it runs. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { closeWorkshop: closeWorkshop, workshopTrouble: workshopTrouble } =
    await import('@/data/store/database')
  Object.assign(globalThis, { tautTrouble: workshopTrouble, tautClose: closeWorkshop })
  // The demo is laid anew whenever one likes: nobody needs it backed up.
  if (process.env.TAUT_DEMO_DATE) return
  const { keepBackedUp } = await import('@/data/backup/keep-backed-up')
  keepBackedUp()
}
