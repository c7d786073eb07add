'use client'

import {
  CategoryScale,
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartOptions,
  type Plugin,
} from 'chart.js'
import { memo, useMemo } from 'react'
import { Line } from 'react-chartjs-2'
import { fittingFigures } from '@/core/fitting/figures'
import { SLACK_INTERVALS, WRAPS_BAND, type Habits, type SlackInterval } from '@/core/fitting/habits'
import type { Instrument } from '@/core/instrument/instrument'
import { useTints } from '@/ui/use-tints'

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Tooltip)

interface RuleCurveProps {
  readonly instrument: Instrument
  readonly habits: Habits
  /** The string on the bench. */
  readonly number: number
}

const RULES = Object.keys(SLACK_INTERVALS) as SlackInterval[]
/** Three rules told apart without colour. */
const DASHES: Record<SlackInterval, number[]> = {
  'a fifth': [],
  'half an octave': [6, 4],
  'an octave': [2, 3],
}

/** How many wraps each rule of thumb gives on every string, with the band that holds and is tidy. */
export const RuleCurve = memo(function RuleCurve({ instrument, habits, number }: RuleCurveProps) {
  const tints = useTints()
  const strings = useMemo(() => [...instrument.positions].reverse(), [instrument])
  const wraps = useMemo(
    () =>
      Object.fromEntries(
        RULES.map((rule) => [
          rule,
          strings.map((position) => {
            const { strings: figures } = fittingFigures(instrument, position, {
              ...habits,
              slackBy: 'pins',
              slackInterval: rule,
            })
            return figures.find((f) => f.position.number === position.number)?.slack.rule.wraps ?? 0
          }),
        ]),
      ) as unknown as Record<SlackInterval, number[]>,
    [instrument, habits, strings],
  )
  if (!tints) return <div className="h-72" />
  const rule = habits.slackInterval
  const within = wraps[rule].filter((w) => w >= WRAPS_BAND.least && w <= WRAPS_BAND.most).length
  const font = { family: 'Public Sans Variable', size: 11 }
  const options: ChartOptions<'line'> = {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    interaction: { mode: 'index', intersect: false },
    scales: {
      x: {
        grid: { display: false },
        border: { color: tints.ink },
        ticks: { color: tints.soft, font, maxRotation: 0, autoSkipPadding: 10 },
      },
      y: {
        beginAtZero: true,
        grid: { color: tints.rule },
        border: { color: tints.ink },
        ticks: { color: tints.soft, font, maxTicksLimit: 6 },
      },
    },
    plugins: {
      tooltip: {
        callbacks: {
          title: ([item]) => `String ${item?.label ?? ''}`,
          label: (item) => `${item.dataset.label ?? ''}: ${(item.parsed.y ?? 0).toFixed(1)} wraps`,
        },
        displayColors: false,
      },
    },
  }
  const data = {
    labels: strings.map((p) => String(p.number)),
    datasets: RULES.map((name) => ({
      label: name,
      data: wraps[name],
      borderColor: name === rule ? tints.verdigris : tints.line,
      backgroundColor: tints.paper,
      borderWidth: name === rule ? 2.2 : 1.4,
      borderDash: DASHES[name],
      pointRadius: strings.map((p) => (p.number === number && name === rule ? 5 : 0)),
      pointBorderColor: tints.ink,
    })),
  }
  const band: Plugin<'line'> = {
    id: 'wanted band',
    beforeDatasetsDraw: ({ ctx, chartArea, scales: { y } }) => {
      if (!y) return
      const [top, bottom] = [y.getPixelForValue(WRAPS_BAND.most), y.getPixelForValue(WRAPS_BAND.least)]
      ctx.save()
      ctx.fillStyle = tints['verdigris-wash']
      ctx.fillRect(chartArea.left, top, chartArea.width, bottom - top)
      ctx.fillStyle = tints.soft
      ctx.font = '11px "Public Sans Variable", sans-serif'
      ctx.fillText('wanted', chartArea.left + 6, top + 13)
      ctx.restore()
    },
  }
  return (
    <figure>
      <figcaption>
        <h2 className="text-xl font-semibold">Where the rule of thumb works</h2>
        <p className="text-sm text-soft">
          Wraps at pitch if the slack is left by {rule}, string by string, longer ones to the left: it lands
          among {WRAPS_BAND.least} to {WRAPS_BAND.most} wraps on {within} of {strings.length} strings. Drawn
          full: a fifth; dashed: half an octave; dotted: an octave.
        </p>
      </figcaption>
      <div className="mt-2 h-64">
        <Line
          data={data}
          options={options}
          plugins={[band]}
          role="img"
          aria-label={`Wraps by ${rule}: ${Math.min(...wraps[rule]).toFixed(1)} to ${Math.max(...wraps[rule]).toFixed(1)}`}
        />
      </div>
    </figure>
  )
})
