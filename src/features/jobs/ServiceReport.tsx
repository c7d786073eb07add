'use client'

import type { ReactNode } from 'react'
import { mishapWord, type Mishap } from '@/core/fitting/mishaps'
import type { Charges } from '@/core/stores/charges'
import { measure } from '@/core/measure'
import { measureText } from '@/ui/format/measure'
import { dateText, nearText } from '@/ui/format/time'
import { ChargesTable } from '@/ui/print/ChargesTable'
import { ReportHead } from '@/ui/print/ReportHead'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useWorkshop } from '@/ui/units'

export interface ReportedString {
  readonly number: number
  /** The number that its players call it by. */
  readonly called: number
  readonly name: string
  readonly beside: string
  /** Why it was replaced: `broke at the knot`. */
  readonly why: string
  /** What to suspect there, and what was looked at. */
  readonly suspect: string | null
  /** `gut, 1.10 mm` */
  readonly string: string
  readonly make: string
  /** Whether the same string was put back. */
  readonly isSame: boolean
  /** m; null where it was, or while the rest of the packet hangs by it uncut. */
  readonly cut: number | null
  readonly wraps: number | null
  readonly anchor: boolean
  readonly finishedAt: number
  readonly nextAt: number | null
  /** Whether it is still on and settles. */
  readonly isFollowed: boolean
  readonly slipping: boolean
  /** From when it holds; null where it slips, or never holds so well. */
  readonly readyAt: number | null
  readonly mishaps: readonly { readonly mishap: Mishap; readonly lost: number | null }[]
}

interface ServiceReportProps {
  readonly instrument: {
    readonly name: string
    readonly maker: string
    readonly model: string
    readonly owner: string
  }
  readonly strings: readonly ReportedString[]
  /** At the bench, min; null where no step was marked. */
  readonly minutes: number | null
  readonly charges: Charges
  /** The workshop’s, a line each. */
  readonly address: string
  readonly now: number
  readonly holdsWithin: number
}

/** A string's retuning and from when it holds, in an owner's words. */
function toComeWords(
  s: ReportedString,
  {
    now,
    timeZone,
    holdsWithin,
  }: { readonly now: number; readonly timeZone: string; readonly holdsWithin: number },
): string {
  if (!s.isFollowed) return 'no longer followed'
  if (s.slipping) return 'it slipped: its knot and pin are to be checked first'
  const retune =
    s.nextAt === null ? 'needs no more retuning' : `tune again ${nearText(s.nextAt, now, timeZone)}`
  return s.readyAt === null
    ? retune
    : `${retune}; holds within ${holdsWithin} cents through a concert from ${nearText(s.readyAt, now, timeZone)}`
}

/** What an owner is told afterwards: what was done, with which parts, in what time, and what is to come. */
export function ServiceReport({
  instrument,
  strings,
  minutes,
  charges,
  address,
  now,
  holdsWithin,
}: ServiceReportProps) {
  const { units, timeZone } = useWorkshop()
  const length = (metres: number) => measureText(measure('length', metres), units)
  const last = Math.max(...strings.map((s) => s.finishedAt))
  const anchors = strings.filter((s) => s.anchor).length
  const used = strings.reduce(
    (sum, s) => sum + (s.cut ?? 0) + s.mishaps.reduce((lost, m) => lost + (m.lost ?? 0), 0),
    0,
  )
  return (
    <article
      className="sheet mx-auto max-w-[210mm] p-6 print:border-0 print:p-0 print:shadow-none"
      aria-label="Service report"
    >
      <ReportHead
        title={`Service report: ${instrument.name}`}
        maker={instrument.maker}
        model={instrument.model}
        owner={instrument.owner}
        address={address}
        date={dateText(last, timeZone)}
      >
        <PrintButton />
      </ReportHead>
      <h2 className="mt-4 text-lg font-semibold">What was done</h2>
      <ul className="ruled">
        {strings.map((s) => (
          <li key={`${s.number} ${s.finishedAt}`} className="py-2">
            <p className="font-semibold">
              {s.name} ({s.beside}, string {s.called})
            </p>
            <p>
              {s.isSame
                ? `The same string was put back; it had ${s.why}.`
                : `New string, ${s.string}${s.make ? `, ${s.make}` : ''}. The old one ${s.why}.`}{' '}
              {s.suspect}
            </p>
            {s.mishaps.length > 0 && (
              <p className="text-sm text-soft">
                On the way:{' '}
                {s.mishaps
                  .map(
                    (m) =>
                      `${mishapWord(m.mishap).toLowerCase()}${m.lost === null ? '' : `, which cost ${length(m.lost)} of string`}`,
                  )
                  .join('; ')}
                .
              </p>
            )}
          </li>
        ))}
      </ul>
      <h2 className="mt-4 text-lg font-semibold">Parts and time</h2>
      <dl className="ruled">
        <Row what="String used">
          {usedWords(
            used,
            strings.some((s) => !s.isSame && s.cut === null),
            length,
          )}
        </Row>
        {anchors > 0 && <Row what="Anchors">{anchors}</Row>}
        <Row what="Time at the bench">
          {minutes === null ? 'not kept' : minutes < 1 ? 'under a minute' : `${Math.round(minutes)} min`}
        </Row>
      </dl>
      {(charges.strings.length > 0 || charges.work) && (
        <>
          <h2 className="mt-4 text-lg font-semibold">Prices</h2>
          <ChargesTable {...charges} />
        </>
      )}
      <h2 className="mt-4 text-lg font-semibold">What is to come</h2>
      <p>
        A new string falls in pitch for some weeks, less each day. Bring it back to pitch as often as it
        needs.
      </p>
      <dl className="ruled">
        {strings.map((s) => (
          <Row key={s.number} what={s.name}>
            {toComeWords(s, { now, timeZone, holdsWithin })}
          </Row>
        ))}
      </dl>
      <p className="mt-4 text-xs text-soft">
        Times are estimates from the material and the readings so far. The maker’s string chart comes first;
        cracks, rising seams or pins that don’t hold are matters for the maker or a qualified repairer.
      </p>
    </article>
  )
}

/** What was used, as far as it is cut yet. */
function usedWords(used: number, isUncut: boolean, length: (metres: number) => string): string {
  if (isUncut)
    return used > 0 ? `${length(used)}, and what is trimmed later` : 'known once the tail is trimmed'
  return used > 0 ? length(used) : 'none'
}

function Row({ what, children }: { what: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[10rem_minmax(0,1fr)] gap-3 py-1.5">
      <dt className="text-soft">{what}</dt>
      <dd className="font-semibold">{children}</dd>
    </div>
  )
}
