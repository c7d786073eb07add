'use client'

import { CategoryScale, Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js'
import { Line } from 'react-chartjs-2'
import type { RoomReading } from '@/core/settle/room'
import { momentText } from '@/ui/format/time'
import { useTints } from '@/ui/use-tints'

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Tooltip)

/** Temperature and humidity as they were read, on a scale of its own each. */
export function AirCurves({
  readings,
  timeZone,
}: {
  readonly readings: readonly RoomReading[]
  readonly timeZone: string
}) {
  const tints = useTints()
  if (!tints) return <div className="h-56" />
  return (
    <div className="mt-3 h-56">
      <Line
        aria-label="Temperature and humidity of the room"
        data={{
          labels: readings.map(({ at }) => momentText(at, timeZone)),
          datasets: [
            {
              label: '°C',
              data: readings.map(({ celsius }) => celsius),
              borderColor: tints.ochre,
              yAxisID: 'y',
              pointRadius: 1.5,
              spanGaps: true,
            },
            {
              label: '%',
              data: readings.map(({ humidity }) => humidity),
              borderColor: tints.verdigris,
              yAxisID: 'percent',
              pointRadius: 1.5,
              spanGaps: true,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: {
            x: {
              ticks: { color: tints.soft, maxTicksLimit: 6, maxRotation: 0 },
              grid: { color: tints.rule },
            },
            y: {
              title: { display: true, text: '°C', color: tints.soft },
              ticks: { color: tints.soft },
              grid: { color: tints.rule },
            },
            percent: {
              position: 'right',
              title: { display: true, text: '%', color: tints.soft },
              ticks: { color: tints.soft },
              grid: { display: false },
            },
          },
        }}
      />
    </div>
  )
}
