'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import type { PracticeView } from '@/data/views/practice-view'
import { Selection } from '@/ui/form/Selection'
import { useAct } from '@/ui/shell/use-act'

/** *One old string*: a good string of one's own taken off and put back. */
export function OldStringOffer({ view }: { view: PracticeView }) {
  const { slug, instruments, olds, openOld } = view
  const [chosen, setChosen] = useState<number | null>(null)
  const old = olds.find(({ number }) => number === chosen) ?? olds[0]
  const router = useRouter()
  const { act, refused } = useAct()
  const name = instruments.find((one) => one.slug === slug)?.name ?? slug
  const begin = async () => {
    if (!old) return
    const opened = await act(
      endpoints.beginOldString,
      { instrument: slug, string: old.number },
      `A string of ${name} is to be taken off and put back, for practice.`,
    )
    if (opened) router.push(pages.jobSheet(opened.jobId, 'steps'))
  }
  return (
    <section className="sheet p-5" aria-labelledby="old-string">
      <h2 id="old-string" className="text-xl font-semibold">
        One old string
      </h2>
      <p className="mt-1 max-w-3xl">
        Before your first broken string, take one old string off {name} and put it back. Nothing is cut. It
        settles again for some days.
      </p>
      {openOld !== null ? (
        <p className="mt-3">
          <Link className="button button-main" href={pages.jobSheet(openOld, 'steps')}>
            Go on with it
          </Link>
        </p>
      ) : old ? (
        <>
          <div className="mt-3 flex flex-wrap items-end gap-3">
            <Selection
              label="Which"
              value={old.number}
              options={olds.map((one) => ({ value: one.number, word: one.name }))}
              choose={setChosen}
            />
            <button type="button" className="button button-main min-h-12" onClick={() => void begin()}>
              Take it off
            </button>
          </div>
          <p className="mt-2 max-w-3xl">
            Why this one: {old.because.join('; ')}.
            {!old.hasTail && ' Look first at its tail. Is it too short to hold? Choose another string.'}
            {old.isWire &&
              ' Wear glasses. Then put a new wire on, in one go: a wire that is bent twice is lost.'}
          </p>
        </>
      ) : (
        <p className="mt-3 text-soft">
          No string of {name} will do: each is worn, new, wound, or a wire that is not old. Practise on
          another instrument.
        </p>
      )}
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </section>
  )
}
