'use client'

import { RadioGroup } from 'radix-ui'
import { useState, type ReactNode } from 'react'
import { Check } from 'lucide-react'
import { endpoints } from '@/boundary/endpoints'
import { WAYS, type HabitChange, type HabitKey, type Habits } from '@/core/fitting/habits'
import { METHODS, type Method, type MethodGroup } from '@/core/fitting/methods'
import { lengthFigure, parseLength } from '@/core/units/length'
import { Labelled } from '@/ui/form/Labelled'
import { useAct } from '@/ui/shell/use-act'
import { useWorkshop } from '@/ui/units'
import { HabitDrawing } from './HabitDrawing'

/** Whose habits are on the sheet. */
export type HabitsOf =
  | { readonly of: 'house' }
  | { readonly of: 'instrument'; readonly slug: string }
  | { readonly of: 'job'; readonly jobId: number }

interface HabitsSheetProps {
  readonly whose: HabitsOf
  readonly habits: Habits
  /** What is set here, where the sheet is not the house's. */
  readonly own: HabitChange
  /** Who decides where nothing is set here: `the house`. */
  readonly otherwise: string
}

/** Every question on which practitioners differ: one choice each, with what it means, what it looks like and what it changes. */
export function HabitsSheet({ whose, habits, own, otherwise }: HabitsSheetProps) {
  const { act, refused } = useAct()
  const set = (key: keyof Habits, value: string | number | null, sentence: string) =>
    act(endpoints.setHabit, { ...whose, key, value }, sentence)
  return (
    <div className="grid gap-8">
      {(Object.keys(METHODS) as MethodGroup[]).map((group) => (
        <section key={group} aria-label={group} className="border-t border-ink pt-3">
          <h2 className="text-xl font-semibold">{group}</h2>
          {METHODS[group].map((school) => (
            <Question
              key={school.key}
              school={school}
              way={habits[school.key]}
              isOwn={whose.of !== 'house' && own[school.key] !== undefined}
              otherwise={otherwise}
              onChoose={(way) =>
                set(
                  school.key,
                  way,
                  way === null ? `${school.question}: as ${otherwise} does.` : `${school.question}: ${way}.`,
                )
              }
            >
              {amountsOf(school.key, habits).map((habit) => (
                <Amount
                  key={`${habit}${habits[habit]}`}
                  habit={habit}
                  whose={whose}
                  habits={habits}
                  own={own}
                  otherwise={otherwise}
                  onSet={set}
                  refused={refused?.sentence}
                />
              ))}
            </Question>
          ))}
        </section>
      ))}
    </div>
  )
}

interface QuestionProps {
  readonly school: Method
  readonly way: string
  readonly isOwn: boolean
  readonly otherwise: string
  readonly onChoose: (way: string | null) => void
  /** Amounts that go with the way that is chosen. */
  readonly children: ReactNode
}

function Question({
  school: { key, question, changes, ways },
  way,
  isOwn,
  otherwise,
  onChoose,
  children,
}: QuestionProps) {
  const options = WAYS[key as HabitKey] as readonly Habits[HabitKey][]
  return (
    <div className="mt-4 border-t border-rule pt-3 first-of-type:border-0">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="text-lg font-semibold" id={`habit-${key}`}>
          {question}
        </h3>
        <p className="text-sm text-soft">{changes}</p>
      </div>
      <RadioGroup.Root
        value={way}
        onValueChange={onChoose}
        aria-labelledby={`habit-${key}`}
        className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-4"
      >
        {options.map((option) => (
          <RadioGroup.Item
            key={option}
            value={option}
            className="group grid grid-cols-[minmax(0,1fr)] content-start border border-rule bg-paper p-2 text-left data-[state=checked]:border-verdigris data-[state=checked]:bg-verdigris-wash"
          >
            <HabitDrawing habit={key} way={option} className="h-16 w-full" />
            <span className="mt-1 flex items-start gap-1 text-sm leading-tight font-semibold">
              <Check
                size={15}
                aria-hidden
                className="mt-0.5 hidden shrink-0 text-verdigris group-data-[state=checked]:block"
              />
              {option}
            </span>
            <span className="text-xs text-soft">{(ways as Record<string, string>)[option]}</span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      {children}
      {isOwn && (
        <button type="button" className="button mt-2" onClick={() => onChoose(null)}>
          As {otherwise} does
        </button>
      )}
    </div>
  )
}

type AmountKey = 'wraps' | 'tail' | 'thinBelow' | 'slackLength' | 'slackStrings' | 'stretchCycles'

/** Each amount: what it is called, and to how many places a length is shown in mm; null where it is a plain number. */
const AMOUNTS: Readonly<Record<AmountKey, { readonly label: string; readonly digits: number | null }>> = {
  wraps: { label: 'Wraps wanted at pitch', digits: null },
  slackLength: { label: 'Slack past every pin', digits: 0 },
  slackStrings: { label: 'Strings pulled aside by', digits: null },
  thinBelow: { label: 'Thin below', digits: 2 },
  tail: { label: 'Tail left beyond the hole', digits: 0 },
  stretchCycles: { label: 'Cycles given', digits: null },
}

/** The amounts that stand with a question, as it is answered now. */
function amountsOf(key: HabitKey, habits: Habits): readonly AmountKey[] {
  switch (key) {
    case 'wrapsBy':
      return ['wraps']
    case 'slackBy':
      return habits.slackBy === 'length past the pin'
        ? ['slackLength']
        : habits.slackBy === 'sideways pull'
          ? ['slackStrings']
          : []
    case 'thin':
      return habits.thin === 'below a gauge' ? ['thinBelow'] : []
    case 'cutting':
      return habits.cutting === 'on the instrument, then wind' ? [] : ['tail']
    case 'stretching':
      return habits.stretching === 'leave it alone' ? [] : ['stretchCycles']
    default:
      return []
  }
}

interface AmountProps extends HabitsSheetProps {
  readonly habit: AmountKey
  readonly onSet: (key: keyof Habits, value: number | null, sentence: string) => Promise<unknown>
  readonly refused: string | undefined
}

function Amount({ habit, whose, habits, own, otherwise, onSet, refused }: AmountProps) {
  const { unit } = useWorkshop()
  const { label, digits } = AMOUNTS[habit]
  const isLength = digits !== null
  const now = isLength
    ? lengthFigure(habits[habit], { unit, digits: unit === 'mm' ? digits : 3 })
    : String(habits[habit])
  const [text, setText] = useState(now)
  const [problem, setProblem] = useState<string | null>(null)
  const keep = async () => {
    setProblem(null)
    try {
      const value = isLength ? parseLength(text, unit) : Number(text.replace(',', '.'))
      if (!Number.isFinite(value)) throw new RangeError(`${label}: expected a number such as 3.`)
      if ((await onSet(habit, value, `${label}: ${text}.`)) === null) setProblem(refused ?? null)
    } catch (error) {
      setProblem((error as RangeError).message)
    }
  }
  return (
    <form
      className="mt-3 flex max-w-xl flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        void keep()
      }}
      noValidate
    >
      <Labelled
        label={`${label}${isLength ? `, ${unit}` : ''}`}
        problem={problem ?? (text !== now && refused ? refused : undefined)}
      >
        {(wiring) => (
          <input
            className="entry mt-1 w-40 text-lg"
            autoComplete="off"
            inputMode="decimal"
            {...wiring}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Labelled>
      <button type="submit" className="button">
        Keep it
      </button>
      {whose.of !== 'house' && own[habit] !== undefined && (
        <button
          type="button"
          className="button"
          onClick={() => onSet(habit, null, `${label}: as ${otherwise} does.`)}
        >
          As {otherwise} does
        </button>
      )}
    </form>
  )
}
