import { pages } from '@/boundary/paths'
import { countedFromWord, leadingNames, stringNames } from '@/core/instrument/names'
import { isHarp, soldByClass, type Instrument } from '@/core/instrument/instrument'
import { measure } from '@/core/measure'
import { classWords, specAt } from '@/core/stores/string-spec'
import { materialWord, outerGauge } from '@/core/strings/construction'
import type { LabelsPage } from '@/data/views/stores-view'
import { LABELS_LAID_OUT, PacketLabel } from '@/drawings/PacketLabel'
import { measureText, type Units } from '@/ui/format/measure'
import { Pager } from '@/ui/list/Pager'
import { PrintButton } from '@/ui/shell/PrintButton'
import { LabelsFilter } from './LabelsFilter'

interface LabelSheetProps {
  /** Where the codes lead: scheme and host. */
  readonly origin: string
  readonly units: Units
  readonly packets: LabelsPage
  readonly filter: { readonly look: string; readonly coils: string }
  /** The instrument whose positions are labelled; null for packets. */
  readonly instrument: Instrument | null
  readonly instruments: readonly { readonly slug: string; readonly name: string }[]
}

/** Labels to print and cut out: of packets, or of an instrument's positions, each with a code that opens the position. */
export function LabelSheet({
  origin,
  units,
  packets: { labels, at },
  filter,
  instrument,
  instruments,
}: LabelSheetProps) {
  return (
    <section className="sheet p-4 md:p-5 print:border-0 print:p-0 print:shadow-none" aria-label="Labels">
      <div className="print:hidden">
        <h1 className="text-2xl font-semibold">Labels</h1>
        <p className="text-soft">A camera held to the code opens the position. Cut along the lines.</p>
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <PrintButton />
          <LabelsFilter look={filter.look} positions={instrument?.slug ?? ''} instruments={instruments} />
        </div>
      </div>
      <ul className={LABELS_LAID_OUT}>
        {instrument
          ? instrument.positions.map((position) => {
              const names = stringNames(instrument, position)
              const { colour, end } = specAt(position, soldByClass(instrument))
              return (
                <PacketLabel
                  key={position.number}
                  address={`${origin}/instruments/${instrument.slug}?string=${position.number}`}
                  title={`${instrument.name} ${position.called.number}`}
                  lines={[
                    isHarp(instrument) ? `${names.harpOctave} (E to F)` : leadingNames(position).name,
                    `${names.scientific} (scientific), sounds ${names.sounding}`,
                    `${position.called.number} ${countedFromWord(instrument)}${names.maker ? `, maker’s ${names.maker}` : ''}`,
                    `${materialWord(position.construction)} ${measureText(measure('gauge', outerGauge(position.construction)), units)}, ${[colour, soldByClass(instrument), `${end} end`].filter(Boolean).join(', ')}`,
                  ]}
                />
              )
            })
          : labels.map(({ id, coil, serves, path }) => (
              <PacketLabel
                key={id}
                address={`${origin}${path}`}
                title={coil.label}
                lines={[
                  `${materialWord(coil.construction)} ${measureText(measure('gauge', outerGauge(coil.construction)), units)}`,
                  [coil.colour, ...classWords(coil.tensionClass), `${coil.end} end`].join(', '),
                  `${coil.maker} ${coil.line}; ${measureText(measure('length', coil.lengthLeft), units)}`,
                  serves === '' ? 'for no charted position' : `for ${serves}`,
                ]}
              />
            ))}
      </ul>
      {instrument === null && labels.length === 0 && <p>There is no packet to label.</p>}
      {instrument === null && <Pager path={pages.labels} filter={filter} at={at} />}
    </section>
  )
}
