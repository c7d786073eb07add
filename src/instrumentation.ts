/** What the program tells its door, which runs before it in the same process. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { closeHouse, houseTrouble } = await import('@/data/store/database')
  Object.assign(globalThis, { tautTrouble: houseTrouble, tautClose: closeHouse })
}
