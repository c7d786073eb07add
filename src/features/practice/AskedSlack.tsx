'use client'

import { useMemo, useState } from 'react'
import { positionAt } from '@/core/instrument/instrument'
import { pinsReached, spacingAt } from '@/core/instrument/neck'
import { measure } from '@/core/measure'
import { slackRange } from '@/core/practice/ask'
import type { SlackQuestion } from '@/core/practice/question'
import { ownFigures, slackLeft, slackMistake } from '@/core/practice/slack-score'
import { sidewaysPull } from '@/core/winding/slack'
import { PinchDrawing } from '@/drawings/PinchDrawing'
import { SidewaysPull } from '@/drawings/SlackDrawing'
import { measureText } from '@/ui/format/measure'
import { useWorkshop } from '@/ui/units'
import { AskedFrame } from './AskedFrame'
import type { AskedProps } from './asked-props'
import { useStopwatch } from './use-stopwatch'

/** Slack is left as the house leaves it, and then told what it gives. */
export function AskedSlack({ own, question, count, isLast, onDone }: AskedProps<SlackQuestion>) {
  const { units } = useWorkshop()
  const position = positionAt(own.instrument, question.number)
  const figures = useMemo(() => ownFigures(own, position), [own, position])
  const range = slackRange(question.by)
  const spacing = spacingAt(own.instrument, position) || 1
  const [amount, setAmount] = useState(range.most / 14)
  const [took, setTook] = useState<number | null>(null)
  const elapsed = useStopwatch()
  const left = slackLeft(own, position, question, amount)
  const mistake = slackMistake(left)
  const set = (to: number) => took === null && setAmount(Math.max(0, Math.min(range.most, to)))
  const wanted = pinsReached(own.instrument, position, figures.slack.length, {
    rule: own.habits.spacing,
    toward: question.toward,
  }).pins
  const inWords = (value: number) =>
    question.by === 'pins'
      ? `${measureText(measure('pins', value), units)} ${question.toward}`
      : question.by === 'sideways pull'
        ? `${measureText(measure('strings', value), units)} aside`
        : measureText(measure('length', value), units)
  const should =
    question.by === 'pins'
      ? wanted
      : question.by === 'sideways pull'
        ? figures.slack.pullInStrings
        : figures.slack.length
  return (
    <AskedFrame
      picture={
        question.by === 'pins' ? (
          <PinchDrawing
            instrument={own.instrument}
            position={position}
            toward={question.toward}
            pins={amount}
            most={range.most}
            wanted={took === null ? null : wanted}
            onPins={set}
            title={`The pinch reaches ${inWords(amount)}`}
            className="mx-auto max-h-[34vh] w-full md:max-h-[28rem]"
          />
        ) : (
          <SidewaysPull
            figures={figures}
            pull={{
              pull: sidewaysPull(position.freeLength, left.length),
              pullInStrings: sidewaysPull(position.freeLength, left.length) / spacing,
              pullIsThere: question.by === 'sideways pull',
            }}
            {...(question.by === 'sideways pull' && took === null
              ? { onPull: (pull: number) => set(pull / spacing) }
              : {})}
          />
        )
      }
      asks={question.asks}
      count={count}
      isLast={isLast}
      told={
        took === null
          ? null
          : {
              isRight: left.isRight,
              was: `That gives ${measureText(measure('wraps', left.wraps), units)}.`,
              teaches: (
                <>
                  {left.isRight && <>It gives {measureText(measure('wraps', left.wraps), units)}. </>}
                  {inWords(should)} give {measureText(measure('wraps', question.wraps), units)}:{' '}
                  {measureText(measure('length', figures.slack.length), units)} past the pin. The stretch
                  winds on {measureText(measure('length', figures.stretch), units)} more.
                </>
              ),
            }
      }
      onNext={() =>
        took !== null &&
        onDone({
          card: question.card,
          drill: question.drill,
          isRight: left.isRight,
          took,
          mistake,
          off: Math.round(left.off * 100) / 100,
        })
      }
    >
      <label className="mt-3 block">
        <span className="text-lg font-semibold" aria-live="polite">
          {inWords(amount)}
        </span>
        <input
          type="range"
          className="mt-2 h-11 w-full accent-verdigris"
          min={0}
          max={range.most}
          step={range.step}
          value={amount}
          disabled={took !== null}
          aria-label="Slack"
          aria-valuetext={inWords(amount)}
          onChange={(event) => set(Number(event.target.value))}
        />
      </label>
      {took === null && (
        <button
          type="button"
          className="button button-main mt-2 min-h-14 w-full text-lg"
          onClick={() => setTook(elapsed())}
        >
          So much
        </button>
      )}
    </AskedFrame>
  )
}
