import { answerTo } from '@/boundary/handle'
import { visitShelf } from '@/data/demo/visit-shelf'
import { visit } from '@/data/store/database'

/** Looks around the Lantern Shelf. Neither this nor the way back is an action of a house. */
export function POST() {
  return answerTo(() => {
    visitShelf()
    return { visiting: true }
  })
}

/** Goes back to the own house. */
export function DELETE() {
  return answerTo(() => {
    visit(null)
    return { visiting: false }
  })
}
