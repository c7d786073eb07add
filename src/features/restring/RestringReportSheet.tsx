'use client'

import { files, pages } from '@/boundary/paths'
import { measure } from '@/core/measure'
import type { RestringReport } from '@/data/views/restring-report'
import { measureText } from '@/ui/format/measure'
import { dateText, momentText } from '@/ui/format/time'
import { PlainTable, type TableHead } from '@/ui/list/PlainTable'
import { BackLink } from '@/ui/shell/BackLink'
import { ChargesTable } from '@/ui/print/ChargesTable'
import { ReportHead } from '@/ui/print/ReportHead'
import { PrintButton } from '@/ui/shell/PrintButton'
import { useWorkshop } from '@/ui/units'

const HEADS: readonly TableHead[] = [{ word: 'String' }, { word: 'Before' }, { word: 'Now' }]

/** What an owner is told of a restring, on paper. */
export function RestringReportSheet({ report }: { readonly report: RestringReport }) {
  const { instrument, begunAt, endedAt, changed, notChanged, loadBefore, loadAfter, retunes } = report
  const { units, timeZone } = useWorkshop()
  const force = (newtons: number) => measureText(measure('force', newtons), units)
  const more = (loadAfter / loadBefore - 1) * 100
  const [first = 0] = retunes
  return (
    <article
      className="sheet mx-auto max-w-[210mm] p-6 print:border-0 print:p-0 print:shadow-none"
      aria-label="Report of the restring"
    >
      <p className="print:hidden">
        <BackLink to={pages.instrumentSheet(instrument.slug, 'restring')}>Restring</BackLink>
      </p>
      <ReportHead
        title={`${instrument.name}, restrung`}
        maker={instrument.maker}
        model={instrument.model}
        owner={instrument.owner}
        address={report.address}
        date={`${dateText(begunAt, timeZone)}${endedAt === null ? '' : ` to ${dateText(endedAt, timeZone)}`}`}
      >
        <PrintButton />
        <a className="button" href={files.invoice(instrument.slug)}>
          Invoice lines as CSV
        </a>
      </ReportHead>
      <p className="mt-4">
        {changedText(changed.length)} {notChangedText(notChanged)} The load at pitch was {force(loadBefore)}{' '}
        before and is {force(loadAfter)} now
        {Math.abs(more) < 0.5
          ? ': the same.'
          : `: ${Math.abs(more).toFixed(0)} % ${more > 0 ? 'more' : 'less'}.`}
      </p>
      <h2 className="mt-4 text-lg font-semibold">What is to come</h2>
      {report.comeBack === null ? (
        <p>Nothing more needs to be tuned on account of this work.</p>
      ) : (
        <p>
          New strings fall in pitch for some weeks, less each day. Tune them first by{' '}
          <strong>{momentText(report.comeBack, timeZone)}</strong>
          {report.holdsFrom !== null && (
            <>
              ; all hold within {report.holdsWithin} cents through a concert from{' '}
              <strong>{dateText(report.holdsFrom, timeZone)}</strong>
            </>
          )}
          {report.slipping.length > 0 && (
            <>
              . <strong>These slipped: {report.slipping.join(', ')}.</strong> Their knots and pins are to be
              checked first
            </>
          )}
          . In the first week some {first} single retunes fall due, in the following ones{' '}
          {retunes.slice(1).join(', ')}: a short visit does many at once.
        </p>
      )}
      {changed.length > 0 && <Changed changed={changed} />}
      {changed.length > 0 && (
        <>
          <h2 className="mt-4 text-lg font-semibold">Prices</h2>
          <ChargesTable {...report.charges} />
        </>
      )}
      <p className="mt-4 text-xs text-soft">
        Loads are reckoned from lengths and gauges, times from the material and the readings so far. The
        maker’s string chart comes first; cracks, rising seams or pins that don’t hold are matters for the
        maker or a qualified repairer.
      </p>
    </article>
  )
}

function Changed({ changed }: Pick<RestringReport, 'changed'>) {
  return (
    <>
      <h2 className="mt-4 text-lg font-semibold">What was changed</h2>
      <PlainTable label="Strings before and now" heads={HEADS}>
        {changed.map(({ number, name, before, after }) => (
          <tr key={number} className="border-b border-rule align-top text-sm">
            <th className="py-1 pr-3 font-semibold first-letter:uppercase">{name}</th>
            <td className="py-1 pr-3">
              {before ? `${before.what}${before.make === '' ? '' : `, ${before.make}`}` : 'not on record'}
            </td>
            <td className="py-1">
              {after.what}
              {after.make === '' ? '' : `, ${after.make}`}
            </td>
          </tr>
        ))}
      </PlainTable>
    </>
  )
}

function changedText(count: number): string {
  if (count === 0) return 'No string is changed yet.'
  return count === 1 ? 'One string was changed.' : `${count} strings were changed.`
}

/** Of many that were left it is enough to know how many. */
const NAMED = 6

function notChangedText(names: readonly string[]): string {
  if (names.length === 0) return ''
  return names.length > NAMED ? `${names.length} were not changed.` : `Not changed: ${names.join(', ')}.`
}
