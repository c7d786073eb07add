/**
 * What is offered for practice before a job.
 */
import { withWorkshopKnot } from '@/core/fitting/workshop-knot'
import type { Card } from '@/core/practice/cards'
import { beforeJob } from '@/core/practice/due'
import { COUNTS_FOR } from '@/core/practice/effect'
import { readCard } from '@/core/practice/read-card'
import { ownFigures } from '@/core/practice/slack-score'
import type { Job } from '../jobs/job'
import type { Store } from '../store/database'
import { cardsFrom } from './goes'
import { rememberedBy } from './practice'
import { realFittingsBy } from './real-fittings'

/** What to practise before a job, and when it was last done; null where all of it is fresh, or for practice already. */
export interface Offered {
  readonly card: Card
  readonly slug: string
  /** When it was practised or done last, ms; null where neither is on record. */
  readonly last: number | null
}

/** The one thing that a job asks for and that was longest ago; nobody whose string broke is sent to practise first. */
export function offeredBefore(store: Store, person: string, job: Job): Offered | null {
  if (job.forPractice || job.site !== null) return null
  const { instrument, habits, position } = job
  const own = { instrument, habits }
  const tied = withWorkshopKnot(position, own.habits).tail.fastening
  const { head } = ownFigures(own, position)
  const asked = new Set<string>([tied, head])
  const now = store.now()
  const done = lastDone(store, person)
  const doneFor = ({ drill, id }: Card) =>
    (drill === 'slack' ? done.any : done.tied.get(readCard(id)?.about[0] ?? '')) ?? null
  const cards = cardsFrom(store, [job]).filter((card) => {
    const read = readCard(card.id)
    const isAskedFor = (card.drill === 'tie' && asked.has(read?.about[0] ?? '')) || card.drill === 'slack'
    // Done for real a short while ago: nobody needs to be asked.
    return isAskedFor && now - (doneFor(card) ?? 0) >= COUNTS_FOR
  })
  const offered = beforeJob(cards, rememberedBy(store, person), now)
  if (!offered) return null
  const last = Math.max(offered.last ?? 0, doneFor(offered.card) ?? 0)
  return { card: offered.card, slug: instrument.slug, last: last === 0 ? null : last }
}

/** When this person last fitted a string for real, ms: any, and by each fastening, as charts name it now. */
function lastDone(
  store: Store,
  person: string,
): { readonly any: number | null; readonly tied: ReadonlyMap<string, number> } {
  const tied = new Map<string, number>()
  let any: number | null = null
  for (const { at, tail, head } of realFittingsBy(store, person)) {
    any = Math.max(any ?? 0, at)
    for (const fastening of [tail, head]) tied.set(fastening, Math.max(tied.get(fastening) ?? 0, at))
  }
  return { any, tied }
}
