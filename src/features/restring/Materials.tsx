import Link from 'next/link'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { listed } from '@/core/fitting/context'
import { grouped } from '@/core/list/grouped'
import { moneyText } from '@/core/stores/money'
import type { RestringView } from '@/data/views/restring-view'
import { useAct } from '@/ui/shell/use-act'
import { useBuying, type Buying } from './use-buying'
import type { MaterialsAnswer } from './use-materials'

interface MaterialsProps {
  readonly view: RestringView
  readonly count: number
  readonly materials: MaterialsAnswer | null
}

const NONE: readonly number[] = []

/** What the set needs against the stores, by the cutting plan; what is missing is priced, and goes on the need list by one press. */
export function Materials({ view: { instrument, pieces, currency }, count, materials }: MaterialsProps) {
  const { act, refused } = useAct()
  const missing = materials?.ok ? materials.value.plan.unserved : NONE
  const buying = useBuying(instrument.slug, missing)
  const wanted = pieces.filter(({ id }) => missing.includes(id))
  const list = () =>
    act(
      endpoints.addNeeds,
      {
        // The longest of a kind stands for it: what is bought for it serves the others.
        wanted: [...grouped(wanted, ({ kind }) => kind).values()].map((alike) => ({
          positionId: alike.reduce((a, b) => (b.cut > a.cut ? b : a)).positionId,
          jobId: null,
          quantity: alike.length,
        })),
      },
      'What is missing is on the need list.',
    )
  return (
    <section aria-labelledby="materials" className="print:hidden">
      <h2 id="materials" className="text-xl font-semibold">
        Strings first
      </h2>
      {materials?.ok === false ? (
        <p role="alert" className="font-semibold text-ochre">
          {materials.sentence}
        </p>
      ) : (
        <p aria-live="polite" className="text-soft">
          {!materials
            ? 'Working out what each is cut from.'
            : missing.length === 0
              ? `The stores hold all of it${opensText(materials.value.plan.opens)}.`
              : `The stores hold ${count - missing.length} of ${count}. Missing: ${listed(wanted.map(({ name }) => name))}.`}
        </p>
      )}
      {buying && missing.length > 0 && <p className="mt-1">{buyingText(buying, currency)}</p>}
      <div className="mt-2 flex flex-wrap gap-2">
        {missing.length > 0 && (
          <button type="button" className="button" onClick={() => void list()}>
            Put what is missing on the need list
          </button>
        )}
        <Link href={pages.orders} className="button" prefetch={false}>
          Need list and orders
        </Link>
      </div>
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </section>
  )
}

const opensText = (opens: number) =>
  opens === 0
    ? ', without opening a fresh packet'
    : `; ${opens === 1 ? 'a fresh packet is' : `${opens} fresh packets are`} opened`

function buyingText({ totalMinor, sets, suppliers, unsold }: Buying, currency: string): string {
  if (suppliers.length === 0) return 'No supplier on record sells any of it.'
  const rest = unsold === 0 ? '' : ` Nobody on record sells ${unsold} of them.`
  const how =
    sets.length === 0
      ? 'one by one, which is cheaper than a set'
      : `${sets.length === 1 ? 'a set is' : 'sets are'} cheaper than single strings: ${listed(sets)}`
  return `Bought cheapest it comes to ${moneyText(totalMinor, currency)} with postage, from ${listed(suppliers)}; ${how}.${rest}`
}
