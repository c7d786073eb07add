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
import { memo, Fragment, useMemo } from 'react'
import { Line } from 'react-chartjs-2'
import { isWhole, type ChartLine } from '@/core/chart/chart-line'
import { sections, type Section } from '@/core/chart/findings'
import { frequency } from '@/core/pitch/note'
import { tension, utilisation } from '@/core/strings/tension'
import { useTints, type Tints } from '@/ui/use-tints'

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Tooltip)

interface ChartCurvesProps {
  readonly lines: readonly ChartLine[]
  readonly referenceA: number
  readonly onPick: (number: number) => void
}

/** Tension and share of strength along the instrument, its sections as bands; longer strings to the left, as in the field. */
export const ChartCurves = memo(function ChartCurves({ lines, referenceA, onPick }: ChartCurvesProps) {
  const tints = useTints()
  const shown = useMemo(() => [...lines].sort((a, b) => b.number - a.number), [lines])
  const values = useMemo(
    () =>
      shown.map((line) => {
        if (!isWhole(line)) return { force: null, share: null }
        const pitch = frequency(line.note, referenceA)
        return {
          force: tension(line.construction, line.speakingLength, pitch),
          share: utilisation(line.construction, line.speakingLength, pitch) * 100,
        }
      }),
    [shown, referenceA],
  )
  if (!tints) return <div className="h-[26rem]" />
  const labels = shown.map(({ number }) => String(number))
  const found = sections(lines)
  const bands = bandsOf(found, shown, tints)
  const pick = (_: unknown, elements: readonly { readonly index: number }[]) => {
    const line = shown[elements[0]?.index ?? -1]
    if (line) onPick(line.number)
  }
  const forces = values.map(({ force }) => force)
  const shares = values.map(({ share }) => share)
  return (
    <div>
      <Curve
        title="Tension, N"
        labels={labels}
        values={forces}
        colour={tints.verdigris}
        tints={tints}
        plugins={[bands]}
        onClick={pick}
      />
      <Curve
        title="Share of strength, %"
        labels={labels}
        values={shares}
        colour={tints.ink}
        tints={tints}
        plugins={[bands, limitsAt([75, 90], tints)]}
        onClick={pick}
        least={0}
        most={100}
      />
      <p className="text-center text-xs text-soft">number of the string; longer ones to the left</p>
      <dl className="mt-2 grid grid-cols-[1.25rem_1fr] text-sm" aria-label="Sections">
        {[...found].reverse().map(({ material, from, to }, i) => (
          <Fragment key={from}>
            <dt className="font-semibold text-soft">{sectionLetter(i)}</dt>
            <dd>
              {material}, {from === to ? `string ${from}` : `strings ${from} to ${to}`}
            </dd>
          </Fragment>
        ))}
      </dl>
    </div>
  )
})

interface CurveProps {
  readonly title: string
  readonly labels: readonly string[]
  readonly values: readonly (number | null)[]
  readonly colour: string
  readonly tints: Tints
  readonly plugins: readonly Plugin<'line'>[]
  readonly onClick: NonNullable<ChartOptions<'line'>['onClick']>
  readonly least?: number
  readonly most?: number
}

function Curve({ title, labels, values, colour, tints, plugins, onClick, least, most }: CurveProps) {
  const font = { family: 'Public Sans Variable', size: 11 }
  const present = values.filter((v) => v !== null)
  const options: ChartOptions<'line'> = {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    onClick,
    interaction: { mode: 'index', intersect: false },
    scales: {
      x: {
        grid: { display: false },
        border: { color: tints.ink },
        ticks: { color: tints.soft, font, maxRotation: 0, autoSkipPadding: 10 },
      },
      y: {
        grid: { color: tints.rule },
        border: { color: tints.ink },
        ticks: { color: tints.soft, font, maxTicksLimit: 6 },
        ...(least === undefined ? { beginAtZero: true } : { min: least }),
        ...(most === undefined ? {} : { max: Math.max(most, ...present) }),
      },
    },
    plugins: {
      tooltip: {
        callbacks: {
          title: ([item]) => `String ${item?.label ?? ''}`,
          label: (item) => `${(item.parsed.y ?? 0).toFixed(1)} ${title.split(', ')[1] ?? ''}`,
        },
        displayColors: false,
      },
    },
  }
  const data = {
    labels: [...labels],
    datasets: [
      {
        data: [...values],
        borderColor: colour,
        backgroundColor: tints.paper,
        pointBorderColor: colour,
        borderWidth: 1.6,
        pointRadius: 2.6,
        spanGaps: false,
      },
    ],
  }
  return (
    <figure>
      <figcaption className="label">{title}</figcaption>
      <div className="h-44">
        <Line
          data={data}
          options={options}
          plugins={[...plugins]}
          role="img"
          aria-label={`${title}: ${present.length === 0 ? 'nothing to draw yet' : `${Math.min(...present).toFixed(0)} to ${Math.max(...present).toFixed(0)}`}`}
        />
      </div>
    </figure>
  )
}

/** Sections are lettered from the left, as the curves show them: A is the bass. */
const sectionLetter = (i: number) => String.fromCharCode(65 + i)

/** Sections as bands behind the curve, each with its letter. */
function bandsOf(found: readonly Section[], shown: readonly ChartLine[], tints: Tints): Plugin<'line'> {
  const places = found.map(({ from, to }) => ({
    left: shown.findIndex((l) => l.number === to),
    right: shown.findIndex((l) => l.number === from),
  }))
  return {
    id: 'sections',
    beforeDatasetsDraw: ({ ctx, chartArea, scales: { x } }) => {
      if (!x) return
      const half = (x.getPixelForValue(1) - x.getPixelForValue(0)) / 2 || chartArea.width / 2
      places.forEach(({ left, right }, i) => {
        const [from, to] = [
          Math.max(chartArea.left, x.getPixelForValue(left) - half),
          Math.min(chartArea.right, x.getPixelForValue(right) + half),
        ]
        ctx.save()
        ctx.fillStyle = i % 2 === 0 ? tints['verdigris-wash'] : 'transparent'
        ctx.globalAlpha = 0.6
        ctx.fillRect(from, chartArea.top, to - from, chartArea.height)
        ctx.globalAlpha = 1
        ctx.fillStyle = tints.soft
        ctx.font = '600 11px "Public Sans Variable", sans-serif'
        ctx.textAlign = 'center'
        ctx.fillText(sectionLetter(found.length - 1 - i), (from + to) / 2, chartArea.bottom - 6)
        ctx.restore()
      })
    },
  }
}

/** Lines at which a string counts as short-lived, and past which it is refused. */
function limitsAt(shares: readonly number[], tints: Tints): Plugin<'line'> {
  return {
    id: 'limits',
    beforeDatasetsDraw: ({ ctx, chartArea, scales: { y } }) => {
      if (!y) return
      ctx.save()
      ctx.strokeStyle = tints.ochre
      ctx.setLineDash([5, 4])
      for (const share of shares) {
        const at = y.getPixelForValue(share)
        ctx.beginPath()
        ctx.moveTo(chartArea.left, at)
        ctx.lineTo(chartArea.right, at)
        ctx.stroke()
      }
      ctx.restore()
    },
  }
}
