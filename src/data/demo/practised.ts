/** Two months of practice at the Lantern Shelf: somebody comes twice a week, as a learner who does not exist would. */
import { grouped } from '@/core/list/grouped'
import { cardsOf } from '@/core/practice/cards'
import { LEARNERS, simulateLearner } from '@/core/practice/learner'
import { seeded } from '@/core/random/seeded'
import { DAY } from '@/core/units/time'
import { allInstruments } from '../instruments/instruments'
import { keepAnswers } from '../practice/practice'
import type { Store } from '../store/database'
import type { Happening } from './happening'

const DAYS = 60
const SEED = 12

/** Goes of practice in the last two months, the instruments being on the shelf. */
export function practised(store: Store, today: number): readonly Happening[] {
  const from = today - DAYS * DAY
  const cards = cardsOf(allInstruments(store))
  const asked = simulateLearner(cards, LEARNERS['twice a week'], DAYS, seeded(SEED), from)
  return [...grouped(asked, ({ day }) => day)].map(([day, all]) => ({
    at: from + day * DAY,
    happen: () =>
      void keepAnswers(
        store,
        '',
        all.map(({ answer }) => ({ ...answer, ago: 0 })),
      ),
  }))
}
