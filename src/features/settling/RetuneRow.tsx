'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useState, type FormEvent } from 'react'
import { endpoints } from '@/boundary/endpoints'
import type { RequestBody } from '@/boundary/endpoint'
import type { ReadingRequest } from '@/boundary/requests/settling'
import { pages } from '@/boundary/paths'
import { withThe } from '@/core/instrument/with-the'
import type { Verdict } from '@/core/settle/readings'
import type { SettlingLine } from '@/data/views/today'
import { sendOrQueue } from '@/ui/offline/send-or-queue'
import { textIn } from '@/ui/form/text-in'
import { useAnnounce } from '@/ui/shell/UndoToast'

/** A settling string, in the words that its row tells it in. */
type SettlingRow = Omit<SettlingLine, 'expectedNow' | 'nextAt'> & {
  /** Where it should stand now, and when it is due. */
  readonly stands: string
  readonly when: string
  readonly isDue: boolean
}

interface RetuneRowProps {
  readonly settling: SettlingRow
  readonly tolerance: number
}

/** One settling string: where it should stand, when it is due, and a place for the cents that were read. */
export function RetuneRow({ settling: s, tolerance }: RetuneRowProps) {
  const [reading, setReading] = useState(false)
  const called = `${s.name} of ${s.instrumentName}${s.numberName === s.name ? '' : `, ${s.numberName}`}`
  return (
    <li className="grid items-center gap-x-4 gap-y-1 py-2.5 sm:grid-cols-[minmax(0,1fr)_11rem_auto]">
      <div>
        <Link
          href={pages.instrument(s.slug, s.number)}
          prefetch={false}
          className="inline-block font-semibold first-letter:uppercase hover:underline"
        >
          {s.name} of {s.instrumentName}
        </Link>
        <p className="text-sm text-soft">
          {s.numberName === s.name ? '' : `${s.numberName}; `}
          {s.settles}{' '}
          <Link
            href={pages.instrumentSheet(s.slug, 'tune', s.number)}
            prefetch={false}
            className="inline-block underline underline-offset-2"
            aria-label={`Hear ${withThe(called)}`}
          >
            Hear it
          </Link>
        </p>
        {s.slipping && (
          <p className="mt-1 border-l-4 border-ochre bg-ochre-wash px-3 py-1 text-sm font-semibold text-ochre">
            Fell further than settling can: look at knot and pin before you retune it.
          </p>
        )}
      </div>
      <div className="text-sm">
        <span className="block">
          stands near <strong>{s.stands}</strong>
        </span>
        <span className={`block ${s.isDue ? 'font-semibold text-ochre' : 'text-soft'}`}>{s.when}</span>
      </div>
      {s.isDue || s.slipping || reading ? (
        <ReadingForm settling={s} tolerance={tolerance} />
      ) : (
        <button
          type="button"
          className="min-h-11 text-left text-sm font-semibold text-verdigris hover:underline"
          onClick={() => setReading(true)}
          aria-label={`Log a reading: ${called}`}
        >
          Log a reading
        </button>
      )}
    </li>
  )
}

/** What a reading was taken for, in the words that the person who read it is told. */
function toldOf(
  kind: Verdict['kind'],
  expected: number,
  { tolerance, settling: { slipping } }: RetuneRowProps,
): string {
  const cents = `${expected.toFixed(0)} cents`.replace('-', '−')
  switch (kind) {
    case 'slip':
      return `That is more than settling: ${cents} was to be expected. Look at knot and pin.`
    case 'rise':
      if (slipping) return 'Logged: it was turned up since it slipped, and its settling is counted from here.'
      return `That is odd: a string only falls by itself, and ${cents} was to be expected. It is kept, and not counted in its settling; look at the weather, and at the tuner.`
    case 'settling':
      return `Logged; ${cents} was to be expected. It is due again when it has fallen by ${tolerance}.`
  }
}

function ReadingForm(told: RetuneRowProps) {
  const { settling: s } = told
  const { act, refused } = useReading(told)
  const [isSending, setSending] = useState(false)
  const log = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault()
    const form = event.currentTarget
    const given = new FormData(form)
    const text = textIn(given, 'cents')
    setSending(true)
    const isLogged = await act({
      fittedId: s.fittedId,
      positionId: s.positionId,
      // What is no number is refused where it is checked, with its sentence.
      cents: text === '' ? null : Number(text),
      broughtBack: given.get('broughtBack') !== null,
    })
    setSending(false)
    if (isLogged) form.reset()
  }
  const name = `${s.name} of ${s.instrumentName}, ${s.numberName}`
  return (
    <form onSubmit={log} noValidate className="flex flex-wrap items-center gap-2">
      <input
        type="number"
        step="any"
        name="cents"
        className="entry w-20"
        aria-label={`Cents read on ${withThe(name)}`}
        placeholder="cents"
        aria-invalid={refused !== null}
      />
      <label className="flex min-h-11 items-center gap-1.5 text-sm">
        <input type="checkbox" name="broughtBack" defaultChecked className="size-5 accent-verdigris" />{' '}
        brought back
      </label>
      <button
        type="submit"
        className="button"
        disabled={isSending}
        aria-label={`Log the reading of ${withThe(name)}`}
      >
        Log
      </button>
      {refused && (
        <p role="alert" className="w-full text-sm font-semibold text-ochre">
          {refused}
        </p>
      )}
    </form>
  )
}

/** Logs a reading and tells what it was taken for. */
function useReading(told: RetuneRowProps) {
  const router = useRouter()
  const announce = useAnnounce()
  const [refused, setRefused] = useState<string | null>(null)
  const act = async (reading: RequestBody<ReadingRequest>): Promise<boolean> => {
    const answer = await sendOrQueue(
      endpoints.logReading,
      reading,
      `${told.settling.name} read at ${reading.cents} cents`,
    )
    setRefused(answer === 'waits' || answer.ok ? null : answer.sentence)
    if (answer === 'waits') return true
    if (!answer.ok) return false
    const { actionId, kind, expected } = answer.value
    announce(toldOf(kind, expected, told), actionId)
    router.refresh()
    return true
  }
  return { act, refused }
}
