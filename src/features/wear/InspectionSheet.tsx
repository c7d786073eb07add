'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import { pages } from '@/boundary/paths'
import { firstOfPieces } from '@/core/instrument/instrument'
import { mishapWord } from '@/core/fitting/mishaps'
import { leadingNames, numberName } from '@/core/instrument/names'
import { itemAt } from '@/core/list/item-at'
import { materialWord } from '@/core/strings/construction'
import { HOUR } from '@/core/units/time'
import { CONDITIONS, type Condition } from '@/core/wear/life'
import { conditionBy, conditionWord, lookWords, signFacts, signsFor, type Sign } from '@/core/wear/signs'
import type { InstrumentWear } from '@/data/views/wear-of-instrument'
import { PickableField } from '@/drawings/field/PickableField'
import { useStringPicker } from '@/drawings/field/use-string-picker'
import { SignDrawing } from '@/drawings/SignDrawing'
import { UnknownAges } from '@/ui/figure/UnknownAges'
import { TakePicture } from '@/ui/picture/TakePicture'
import { useAnnounce } from '@/ui/shell/UndoToast'
import { send } from '@/ui/shell/send'
import { dateText } from '@/ui/format/time'
import { useVoiceCommands } from '@/ui/hands-free/use-voice-commands'
import { useWorkshop } from '@/ui/units'
import { ageText } from './class-words'
import { KEYS, SAID } from './signs-by-hand'

interface InspectionSheetProps {
  readonly wear: InstrumentWear
  readonly asked: number | null
  readonly now: number
}

/** A look is of this round for so long, ms. */
const ROUND = 12 * HOUR

/** Every string looked at in turn: one press says how it looks, and the next one comes. */
export function InspectionSheet({ wear, asked, now }: InspectionSheetProps) {
  const { instrument, broken, strings } = wear
  const { octaveNames, timeZone } = useWorkshop()
  const announce = useAnnounce()
  const router = useRouter()
  const onBoard = firstOfPieces(instrument).filter((p) => strings.some(({ number }) => number === p.number))
  const lookedBefore = new Set(
    strings.filter(({ look }) => look && now - look.at < ROUND).map(({ number }) => number),
  )
  const [looked, setLooked] = useState<ReadonlySet<number>>(lookedBefore)
  const [seen, setSeen] = useState<Readonly<Record<number, readonly Sign[]>>>({})
  const [refused, setRefused] = useState<string | null>(null)
  const first = onBoard.find(({ number }) => !lookedBefore.has(number))?.number ?? onBoard[0]?.number ?? 1
  const picker = useStringPicker(instrument, asked ?? first)
  const position = itemAt(instrument.positions, picker.selected - 1)
  const string = strings.find(({ number }) => number === position.number)
  const possible = signsFor(position)
  // What was seen once is still there until another string is on.
  const signs = seen[position.number] ?? string?.look?.signs ?? []
  const { name } = leadingNames(position, octaveNames)
  const left = onBoard.filter(({ number }) => !looked.has(number)).length

  const toggle = (sign: Sign) =>
    setSeen((had) => ({
      ...had,
      [position.number]: signs.includes(sign) ? signs.filter((one) => one !== sign) : [...signs, sign],
    }))
  const next = (from: number, done: ReadonlySet<number>) => {
    const after = onBoard.filter(({ number }) => !done.has(number))
    const to = after.find(({ number }) => number > from) ?? after[0]
    if (to) picker.pick(to.number)
    else router.refresh()
  }
  const keep = async (condition: Condition) => {
    if (!string) return
    setRefused(null)
    const { number } = position
    const done = new Set([...looked, number])
    // The next string comes at once; whoever looks does not wait for the disk.
    setLooked(done)
    next(number, done)
    const answer = await send(endpoints.logLook(instrument.slug), { number, condition, signs: [...signs] })
    if (answer.ok) announce(`${name}: ${lookWords({ condition, signs })}.`, answer.value.actionId)
    else {
      setRefused(`${name}: ${answer.sentence}`)
      setLooked((had) => new Set([...had].filter((one) => one !== number)))
    }
  }
  const worst = conditionBy(signs, 'fresh')

  const sayIf = (condition: Condition) => () => canBe(condition, worst) && void keep(condition)
  const [listening, setListening] = useState(false)
  const canListen = useVoiceCommands(listening, {
    new: sayIf('fresh'),
    sound: sayIf('sound'),
    worn: sayIf('worn'),
    failing: sayIf('fraying'),
    back: () => picker.pick(picker.selected - 1),
    ...Object.fromEntries(possible.map((sign) => [SAID[sign], () => toggle(sign)])),
  })

  const onKey = useRef<(event: KeyboardEvent) => void>(() => {})
  useEffect(() => {
    onKey.current = (event) => {
      const typing =
        event.target instanceof HTMLElement && event.target.closest('input, select, textarea, dialog')
      if (typing || event.altKey || event.ctrlKey || event.metaKey) return
      const condition = CONDITIONS[Number(event.key) - 1]
      const sign = possible.find((one) => KEYS[one] === event.key.toLowerCase())
      if (condition && canBe(condition, worst)) void keep(condition)
      else if (sign) toggle(sign)
      else return
      event.preventDefault()
    }
  })
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey.current(event)
    window.addEventListener('keydown', listen)
    return () => window.removeEventListener('keydown', listen)
  }, [])

  return (
    <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_26rem]">
      <section className="sheet order-2 p-4 md:p-5 lg:order-1" aria-label="The instrument">
        <header className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-2xl font-semibold">{instrument.name} looked over</h1>
            <p className="text-soft" aria-live="polite">
              {left === 0
                ? `${onBoard.length === 1 ? 'The string is' : `All ${onBoard.length} strings are`} looked at.`
                : `${looked.size} looked at, ${left} to go.`}
            </p>
            <UnknownAges unknown={wear.unknown} of={onBoard.length} />
          </div>
          <Link className="button" href={pages.instrumentSheet(instrument.slug, 'wear', picker.selected)}>
            What it says
          </Link>
        </header>
        <PickableField
          instrument={instrument}
          broken={broken}
          picker={picker}
          className="mt-3 h-[14rem] md:h-[min(34rem,calc(100dvh-13rem))]"
        />
      </section>
      <section className="sheet order-1 p-5 lg:order-2" aria-label="The string to look at">
        <h2 className="text-3xl leading-none font-semibold">
          <span className="inline-block first-letter:uppercase">{name}</span>
        </h2>
        <p className="mt-1 text-soft">
          {numberName(position) === name ? '' : `${numberName(position)}, `}
          {materialWord(position.construction)}
          {string && (string.since === 'unknown' ? ', age not known' : `, on for ${ageText(string.age)}`)}
        </p>
        {string?.look && (
          <p className="text-sm text-soft">
            Last time, {dateText(string.look.at, timeZone)}: {lookWords(string.look)}
          </p>
        )}
        {string && string.mishaps.length > 0 && (
          <p className="text-sm text-soft">When it was fitted: {string.mishaps.map(mishapWord).join(', ')}</p>
        )}
        {!string && <p className="mt-2 font-semibold text-ochre">No string is on.</p>}
        <fieldset className="mt-4" disabled={!string}>
          <legend className="font-semibold">What you see, feel or hear</legend>
          <div className="mt-1 grid grid-cols-2 gap-2">
            {possible.map((sign) => {
              const { word, looks } = signFacts(sign)
              return (
                <button
                  key={sign}
                  type="button"
                  aria-pressed={signs.includes(sign)}
                  title={looks}
                  onClick={() => toggle(sign)}
                  className="min-h-16 border border-line p-2 text-left text-sm hover:bg-verdigris-wash aria-pressed:border-verdigris aria-pressed:bg-verdigris-wash aria-pressed:font-semibold"
                >
                  <SignDrawing sign={sign} className="mb-1 h-7" />
                  {word} <kbd className="text-xs text-soft">{KEYS[sign]}</kbd>
                </button>
              )
            })}
          </div>
        </fieldset>
        <div className="mt-2">
          <TakePicture
            key={position.number}
            instrument={instrument.slug}
            string={position.number}
            job={null}
            kind="other"
          >
            Take a picture of it
          </TakePicture>
        </div>
        <fieldset className="mt-4" disabled={!string}>
          <legend className="font-semibold">Taken all in all, it is</legend>
          <div className="mt-1 grid grid-cols-4 gap-2">
            {CONDITIONS.map((condition, i) => (
              <button
                key={condition}
                type="button"
                disabled={!canBe(condition, worst)}
                onClick={() => void keep(condition)}
                className={`button min-h-14 flex-col px-1 ${condition === (worst === 'fresh' ? 'sound' : worst) ? 'button-main' : ''}`}
              >
                {conditionWord(condition)} <kbd className="text-xs font-normal opacity-80">{i + 1}</kbd>
              </button>
            ))}
          </div>
        </fieldset>
        {canListen && (
          <label className="mt-3 flex min-h-11 items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-5 accent-verdigris"
              checked={listening}
              onChange={(event) => setListening(event.target.checked)}
            />
            Listen: say “new”, “sound”, “worn” or “failing”, and what you see by its last word.
          </label>
        )}
        {refused && (
          <p role="alert" className="mt-2 font-semibold text-ochre">
            {refused}
          </p>
        )}
        <details className="mt-4 text-sm">
          <summary className="min-h-8 font-semibold">What each looks like, and what it says</summary>
          <dl className="mt-1">
            {possible.map((sign) => {
              const { word, looks, means } = signFacts(sign)
              return (
                <div key={sign} className="border-b border-rule py-2">
                  <dt className="font-semibold">{word}</dt>
                  <dd>
                    {looks} <span className="text-soft">{means}</span>
                  </dd>
                </div>
              )
            })}
          </dl>
        </details>
      </section>
    </div>
  )
}

/** What was seen is the least that it is. */
const canBe = (condition: Condition, worst: Condition) =>
  CONDITIONS.indexOf(condition) >= CONDITIONS.indexOf(worst)
