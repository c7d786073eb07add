/** What the card and the drawings of a job say is what its steps say: on every instrument, under every way of the house. */
import { createElement, type ReactElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { fittingFigures } from '@/core/fitting/figures'
import { DEFAULT_HABITS, WAYS, type Habits } from '@/core/fitting/habits'
import { FRESH } from '@/core/fitting/context'
import type { Step } from '@/core/fitting/step'
import { fittingContext, fittingSteps } from '@/core/fitting/fitting-steps'
import { positionAt, type Instrument } from '@/core/instrument/instrument'
import { measure } from '@/core/measure'
import { readShelf } from '@/data/demo/shelf-files'
import { StepDrawing } from '@/drawings/step/StepDrawing'
import { measureText } from '@/ui/format/measure'
import { JobCard } from './JobCard'

const shelf = readShelf('demo').instruments
const WAYS_OF_ALL = Object.entries(WAYS).flatMap(([key, ways]) =>
  ways.map((way): Partial<Habits> => ({ [key]: way })),
)

function job(instrument: Instrument, habits: Partial<Habits>) {
  const all = { ...DEFAULT_HABITS, ...habits }
  const position = positionAt(instrument, Math.ceil(instrument.positions.length / 2))
  const figures = fittingFigures(instrument, position, all)
  const context = fittingContext(instrument, position, figures, all, { ...FRESH, turnsGiven: 0.5 })
  return { context, figures, steps: fittingSteps(context) }
}

const said = (element: ReactElement) =>
  renderToStaticMarkup(element)
    .replace(/<title>.*?<\/title>/g, '')
    .replace(/<[^>]+>/g, ' ')
    .replaceAll('&#x27;', '’')
    .replace(/\s+/g, ' ')
const mm = (figure: Step['figures'][number]) => measureText(figure.measure, 'mm')
const figureOf = (steps: readonly Step[], key: string, label: string) =>
  steps.find((s) => s.key === key)?.figures.find((f) => f.label === label)

test.each(shelf.map((instrument) => [instrument.name, instrument] as const))(
  '%s: its card agrees with its steps',
  (_, instrument) => {
    for (const habits of WAYS_OF_ALL) {
      const { context, figures, steps } = job(instrument, habits)
      const card = said(createElement(JobCard, { context, steps, from: 'Packet 1', jobId: 7, date: 'today' }))
      expect(card).toContain(measureText(measure('length', figures.cut.total), 'mm'))
      for (const step of steps) {
        expect(card).toContain(step.title)
        if (step.figures[0])
          expect(card).toContain(`${step.figures[0].label.toLowerCase()} ${mm(step.figures[0])}`)
      }
      // Where no step winds a pin, the card tells of no slack and no wraps.
      expect(/On the pin|past the pin/.test(card)).toBe(steps.some(({ key }) => key === 'wind'))
      const slack = figureOf(steps, 'thread-pin', 'Slack')
      if (slack) expect(card).toContain(`${mm(slack)} past the pin`)
      const wraps = figureOf(steps, 'wind', 'Wraps at pitch')
      if (wraps) expect(card).toContain(`On the pin ${mm(wraps)}`)
      for (const figure of steps.find(({ key }) => key === 'set-pin')?.figures ?? [])
        expect(card).toContain(`${figure.label.toLowerCase()} ${mm(figure)}`)
      if (figures.needsAnchor) expect(card).toMatch(/anchor|dowel|cotton|bead|toggle/)
      expect(card.includes('tail past the hole')).toBe(figures.tail > 0)
      expect(card).not.toMatch(/NaN|undefined|Infinity/)
    }
  },
  60_000,
)

test.each(shelf.map((instrument) => [instrument.name, instrument] as const))(
  '%s: its drawings agree with its steps',
  (_, instrument) => {
    for (const habits of WAYS_OF_ALL) {
      const { context, figures, steps } = job(instrument, habits)
      for (const step of steps.filter(({ picture }) => picture !== null && picture !== 'knot')) {
        const drawing = said(createElement(StepDrawing, { step, context, jobId: 7 }))
        expect(drawing).not.toMatch(/NaN|undefined|Infinity/)
        const figure = (label: string) => step.figures.find((f) => f.label === label)
        const turns = step.figures.find(({ measure: { quantity } }) => quantity === 'turns')
        if (step.picture === 'wraps' && turns) expect(drawing).toContain(mm(turns))
        const higher = figure('Then stands higher by')
        if (step.picture === 'pin' && higher) expect(drawing).toContain(mm(higher))
        const pull = figure('Pull the first aside')
        if (step.picture === 'slack' && pull) expect(drawing).toContain(mm(pull))
        if (step.picture === 'cut')
          expect(drawing).toContain(measureText(measure('length', figures.cut.total), 'mm'))
      }
    }
  },
  60_000,
)
