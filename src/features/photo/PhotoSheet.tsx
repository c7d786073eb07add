'use client'

import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { setUpCalls } from '@/boundary/endpoints-set-up'
import { pages } from '@/boundary/paths'
import { firstOfPieces, type Instrument } from '@/core/instrument/instrument'
import type { Measured } from '@/core/measuring/quantity'
import type { Spot } from '@/core/photo/homography'
import { knownChanges, type KnownChange } from '@/core/photo/known-changes'
import { laidOver } from '@/core/photo/lay-over'
import { readPhoto, runSideBySide } from '@/core/photo/lengths'
import { base64Of } from '@/ui/import/base64-of'
import { loadPicture, type Picture } from '@/ui/picture/load-picture'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { useLeadingNames } from '@/ui/use-leading-names'
import { MarkedPicture } from './MarkedPicture'
import { firstMark, marksFor, markWords, scaleIn, stringsIn, type Marked, type MarkKey } from './marks'
import { PhotoFields } from './PhotoFields'
import { ReadLengths } from './ReadLengths'
import { kindOf, scaleOf, type ScaleName } from './scales'

interface PhotoSheetProps {
  readonly instrument: Instrument
  readonly measured: readonly Measured[]
}

/** Longer side of the picture that is marked, pixels; more shows no more. */
const LONGEST = 4000

const FIRST = 'the first'

/** Strings that are asked for; more can be marked by choosing them. */
const ASKED = 6

/** Lengths from a photograph: a sheet of paper in the plane of the strings, and the ends of a few strings. */
export function PhotoSheet({ instrument, measured }: PhotoSheetProps) {
  const { unit } = useWorkshop()
  const leadingNames = useLeadingNames()
  const router = useRouter()
  const { act, refused } = useAct()
  const [picture, setPicture] = useState<Picture | null>(null)
  const [scaleName, setScaleName] = useState<ScaleName>('A4, upright')
  const [ruler, setRuler] = useState('')
  const kind = kindOf(scaleName)
  const [strings, setStrings] = useState(() =>
    spread(
      firstOfPieces(instrument).map((p) => p.number),
      ASKED,
    ),
  )
  const [marked, setMarked] = useState<Marked>({})
  /** Figures that are known already: whether the picture may change them, by string, where somebody said so. */
  const [ticks, setTicks] = useState<Readonly<Record<number, boolean>>>({})
  /** Where one begins depends on what tells the size, which may be changed while a picture is still being read. */
  const [chosen, setAsked] = useState<MarkKey | typeof FIRST | null>(FIRST)
  const asked = chosen === FIRST ? firstMark(kind) : chosen
  const [zoom, setZoom] = useState(1)
  const [keepsPicture, setKeepsPicture] = useState(true)
  const [problem, setProblem] = useState<string | null>(null)
  const keys = useMemo(() => marksFor(kind, strings), [kind, strings])
  const nameOf = (number: number) => {
    const position = instrument.positions[number - 1]
    return position ? leadingNames(position).name : `String ${number}`
  }

  const read = useMemo(() => {
    const spots = scaleIn(kind, marked)
    const ends = stringsIn(marked, strings)
    if (!spots || !picture || ends.length === 0) return null
    try {
      const scale = scaleOf(scaleName, spots, ruler, unit)
      const reading = readPhoto({
        scale,
        strings: ends,
        picture,
        sideBySide: runSideBySide(instrument),
      })
      const { after, changes } = knownChanges(instrument, measured, reading.lengths)
      return {
        reading,
        changes,
        laid: ends.length > 1 ? laidOver(after, reading.placed.camera, ends) : [],
        sentence: null,
      }
    } catch (error) {
      return { reading: null, changes: [], laid: [], sentence: (error as Error).message }
    }
  }, [marked, strings, picture, kind, scaleName, ruler, unit, instrument, measured])

  const changes = read?.changes ?? []
  const isTaken = (change: KnownChange) => ticks[change.number] ?? change.isSurer

  const choose = async (file: File | undefined) => {
    if (!file) return
    setProblem(null)
    try {
      const loaded = await loadPicture(file, LONGEST)
      if (picture) URL.revokeObjectURL(picture.url)
      setPicture(loaded)
      setMarked({})
      setAsked(FIRST)
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  const mark = (key: MarkKey, spot: Spot) => setMarked((had) => ({ ...had, [key]: spot }))
  const next = () => {
    const at = asked === null ? -1 : keys.indexOf(asked)
    setAsked([...keys.slice(at + 1), ...keys.slice(0, at)].find((key) => !marked[key]) ?? null)
  }
  const keep = async () => {
    if (!read?.reading) return
    const left = new Set(changes.filter((change) => !isTaken(change)).map(({ number }) => number))
    const readings = read.reading.lengths.filter(({ number }) => !left.has(number)).map((one) => ({ ...one }))
    const replaced = changes.filter(isTaken).map(({ number }) => number)
    const done = await act(
      setUpCalls.measureByPicture(instrument.slug),
      { readings, replaced },
      `${readings.length === 1 ? 'One length is' : `${readings.length} lengths are`} kept; the others follow them.`,
    )
    if (done && keepsPicture && picture)
      await act(
        endpoints.keepPicture,
        { instrument: instrument.slug, kind: 'the instrument', note: '', jpeg: await base64Of(picture.jpeg) },
        'The lengths and the picture are kept.',
      )
    if (done) router.push(pages.instrumentSheet(instrument.slug, 'measuring'))
  }
  const words = asked ? markWords(asked, nameOf) : 'All is marked'

  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section className="sheet p-4 md:p-5" aria-labelledby="photo">
        <BackLink to={pages.instrumentSheet(instrument.slug, 'measuring')}>
          Measuring {instrument.name}
        </BackLink>
        <h1 id="photo" className="text-2xl font-semibold">
          {instrument.name} from a photograph
        </h1>
        {!picture && (
          <ul className="mt-1 max-w-prose list-disc pl-5 text-soft">
            <li>
              Hang a sheet of paper flat against the strings, near their middle; tape it to two of them. A
              ruler will do, but then all hangs on standing square to it.
            </li>
            <li>
              Stand well back, with the whole instrument in the picture, and as square to it as you can.
            </li>
            <li>It is kept without the place and the camera, and can be thrown away.</li>
          </ul>
        )}
        <PhotoFields
          hasPicture={picture !== null}
          scale={scaleName}
          ruler={ruler}
          keepsPicture={keepsPicture}
          zoom={zoom}
          onChoose={(file) => void choose(file)}
          onScale={(name) => {
            setScaleName(name)
            setAsked(FIRST)
          }}
          onRuler={setRuler}
          onKeepsPicture={setKeepsPicture}
          onZoom={setZoom}
        />
        {problem && (
          <p role="alert" className="mt-3 font-semibold text-ochre">
            {problem}
          </p>
        )}
        {picture && (
          <>
            <p className="mt-3 text-lg font-semibold" aria-live="polite">
              {asked
                ? `Mark: ${words.toLowerCase().startsWith('the ') ? words.charAt(0).toLowerCase() + words.slice(1) : words}`
                : `${words}. Drag a mark to set it right.`}
            </p>
            <div className="mt-2">
              <MarkedPicture
                picture={picture}
                marked={marked}
                current={asked}
                scale={scaleIn(kind, marked)}
                zoom={zoom}
                laid={read?.laid ?? []}
                asked={words}
                onMark={mark}
                onNext={next}
              />
            </div>
            <p className="mt-1 text-xs text-soft">
              Tap to set the mark, drag to move one; with the picture in focus arrow keys move it by a pixel,
              Shift by 25, and Enter goes on.
            </p>
          </>
        )}
      </section>
      <ReadLengths
        instrument={instrument}
        measured={measured}
        reading={read?.reading ?? null}
        sentence={refused?.sentence ?? read?.sentence ?? null}
        strings={strings}
        marked={marked}
        asked={asked}
        nameOf={nameOf}
        onAsk={(number) => setAsked(`${number} upper`)}
        onAdd={(number) => {
          setStrings([...strings, number].sort((a, b) => a - b))
          setAsked(`${number} upper`)
        }}
        changes={changes}
        isTaken={isTaken}
        onTick={(number, taken) => setTicks((had) => ({ ...had, [number]: taken }))}
        onKeep={keep}
      />
    </div>
  )
}

/** So many of the numbers, both ends among them. */
function spread(numbers: readonly number[], count: number): readonly number[] {
  const most = Math.min(count, numbers.length)
  if (most < 2) return numbers
  return [
    ...new Set(Array.from({ length: most }, (_, i) => Math.round((i * (numbers.length - 1)) / (most - 1)))),
  ].flatMap((i) => numbers[i] ?? [])
}
