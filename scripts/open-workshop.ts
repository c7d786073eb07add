/** Brings the tables of the data folder up to date, and says what is in it. */
import { isBegun } from '@/data/workshop/settings'
import { workshopFolder, store } from '@/data/store/database'

try {
  const folder = workshopFolder()
  console.log(
    isBegun(store())
      ? `Going on with what is in ${folder}.`
      : `An empty house in ${folder}; the first page asks how to begin.`,
  )
  store().close()
} catch (error) {
  console.error((error as Error).message)
  process.exit(1)
}
