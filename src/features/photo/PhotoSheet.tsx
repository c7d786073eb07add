'use client'

import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { calls } from '@/boundary/calls'
import { pages } from '@/boundary/paths'
import { firstOfPieces, type Instrument } from '@/core/instrument/instrument'
import type { Measured } from '@/core/measuring/quantity'
import { takeLengths } from '@/core/measuring/take-lengths'
import type { Spot } from '@/core/photo/homography'
import { laidOver } from '@/core/photo/lay-over'
import { readPhoto, runSideBySide } from '@/core/photo/lengths'
import { base64Of } from '@/ui/import/base64-of'
import { loadPicture, type Picture } from '@/ui/picture/load-picture'
import { BackLink } from '@/ui/shell/BackLink'
import { useAct } from '@/ui/shell/use-act'
import { useLeadingNames } from '@/ui/use-leading-names'
import { MarkedPicture } from './MarkedPicture'
import { cornersIn, marksFor, markWords, stringsIn, type Marked, type MarkKey } from './marks'
import { ReadLengths } from './ReadLengths'

interface PhotoSheetProps {
  readonly instrument: Instrument
  readonly measured: readonly Measured[]
}

/** Sheets of a known size, m. */
const SHEETS = {
  'A4, upright': { width: 0.21, height: 0.297 },
  'A4, lying': { width: 0.297, height: 0.21 },
  'Letter, upright': { width: 0.2159, height: 0.2794 },
  'Letter, lying': { width: 0.2794, height: 0.2159 },
} as const
type SheetName = keyof typeof SHEETS

/** Longer side of the picture that is marked, pixels; more shows no more. */
const LONGEST = 4000

/** Strings that are asked for; more can be marked by choosing them. */
const ASKED = 6

/** Lengths from a photograph: a sheet of paper in the plane of the strings, and the ends of a few strings. */
export function PhotoSheet({ instrument, measured }: PhotoSheetProps) {
  const leadingNames = useLeadingNames()
  const router = useRouter()
  const { act, refused } = useAct()
  const [picture, setPicture] = useState<Picture | null>(null)
  const [sheet, setSheet] = useState<SheetName>('A4, upright')
  const [strings, setStrings] = useState(() =>
    spread(
      firstOfPieces(instrument).map((p) => p.number),
      ASKED,
    ),
  )
  const [marked, setMarked] = useState<Marked>({})
  const [asked, setAsked] = useState<MarkKey | null>('corner 0')
  const [zoom, setZoom] = useState(1)
  const [keepsPicture, setKeepsPicture] = useState(true)
  const [problem, setProblem] = useState<string | null>(null)
  const keys = useMemo(() => marksFor(strings), [strings])
  const nameOf = (number: number) => {
    const position = instrument.positions[number - 1]
    return position ? leadingNames(position).name : `String ${number}`
  }

  const read = useMemo(() => {
    const corners = cornersIn(marked)
    const ends = stringsIn(marked, strings)
    if (!corners || !picture || ends.length === 0) return null
    try {
      const reading = readPhoto({
        corners,
        strings: ends,
        sheet: SHEETS[sheet],
        picture,
        sideBySide: runSideBySide(instrument),
      })
      const after = takeLengths(instrument, measured, reading.lengths).instrument
      return {
        reading,
        laid: ends.length > 1 ? laidOver(after, reading.placed.camera, ends) : [],
        sentence: null,
      }
    } catch (error) {
      return { reading: null, laid: [], sentence: (error as Error).message }
    }
  }, [marked, strings, picture, sheet, instrument, measured])

  const choose = async (file: File | undefined) => {
    if (!file) return
    setProblem(null)
    try {
      const loaded = await loadPicture(file, LONGEST)
      if (picture) URL.revokeObjectURL(picture.url)
      setPicture(loaded)
      setMarked({})
      setAsked('corner 0')
    } catch (error) {
      setProblem((error as Error).message)
    }
  }
  const mark = (key: MarkKey, spot: Spot) => setMarked((had) => ({ ...had, [key]: spot }))
  const next = () => {
    const at = keys.indexOf(asked as MarkKey)
    setAsked([...keys.slice(at + 1), ...keys.slice(0, at)].find((key) => !marked[key]) ?? null)
  }
  const keep = async () => {
    if (!read?.reading) return
    const readings = read.reading.lengths.map((one) => ({ ...one }))
    const done = await act(
      calls.measureByPicture(instrument.slug),
      { readings },
      `${readings.length === 1 ? 'One length is' : `${readings.length} lengths are`} kept; the others follow them.`,
    )
    if (done && keepsPicture && picture)
      await act(
        calls.keepPicture,
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
              Hang a sheet of paper flat against the strings, near their middle; tape it to two of them.
            </li>
            <li>
              Stand well back, with the whole instrument in the picture, and as square to it as you can.
            </li>
            <li>It is kept without the place and the camera, and can be thrown away.</li>
          </ul>
        )}
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <label className="min-w-56 flex-1">
            <span className="block font-semibold">Picture</span>
            <input
              type="file"
              accept="image/*"
              className="entry mt-1"
              onChange={(event) => void choose(event.target.files?.[0])}
            />
          </label>
          <label>
            <span className="block font-semibold">Sheet</span>
            <select
              className="entry mt-1"
              value={sheet}
              onChange={(event) => setSheet(event.target.value as SheetName)}
            >
              {Object.keys(SHEETS).map((name) => (
                <option key={name}>{name}</option>
              ))}
            </select>
          </label>
          {picture && (
            <label className="flex min-h-10 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-verdigris"
                checked={keepsPicture}
                onChange={(event) => setKeepsPicture(event.target.checked)}
              />
              keep the picture too
            </label>
          )}
          {picture && (
            <label>
              <span className="block font-semibold">Shown</span>
              <select
                className="entry mt-1"
                value={zoom}
                onChange={(event) => setZoom(Number(event.target.value))}
              >
                <option value={1}>whole</option>
                <option value={2}>twice</option>
                <option value={4}>four times</option>
                <option value={8}>eight times</option>
              </select>
            </label>
          )}
        </div>
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
