'use client'

import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import type { Spot } from '@/core/photo/homography'
import type { LaidString } from '@/core/photo/lay-over'
import type { Picture } from '@/ui/picture/load-picture'
import type { Marked, MarkKey } from './marks'

interface MarkedPictureProps {
  readonly picture: Picture
  readonly marked: Marked
  readonly current: MarkKey | null
  /** Marks of the sheet or the ruler, once all are set. */
  readonly scale: readonly Spot[] | null
  /** Times as wide as its frame. */
  readonly zoom: number
  /** The strings as the chart has them, laid over the picture. */
  readonly laid: readonly LaidString[]
  /** What is to be marked now, for whoever can’t see it. */
  readonly asked: string
  readonly onMark: (key: MarkKey, spot: Spot) => void
  readonly onNext: () => void
}

/** The picture with its marks: tap or click to set the one that is asked for, drag any, or move it by the arrow keys. */
export function MarkedPicture({
  picture,
  marked,
  current,
  scale,
  zoom,
  laid,
  asked,
  onMark,
  onNext,
}: MarkedPictureProps) {
  const svg = useRef<SVGSVGElement>(null)
  const dragged = useRef<MarkKey | null>(null)
  const px = Math.max(picture.width, picture.height) / 700 / zoom

  const spotOf = (event: PointerEvent): Spot | null => {
    const matrix = svg.current?.getScreenCTM()?.inverse()
    if (!matrix) return null
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
    return inside({ x, y }, picture)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (current === null) return
    if (event.key === 'Enter') {
      event.preventDefault()
      if (!marked[current]) onMark(current, { x: picture.width / 2, y: picture.height / 2 })
      onNext()
      return
    }
    const by = STEPS[event.key]
    if (!by) return
    event.preventDefault()
    const from = marked[current] ?? { x: picture.width / 2, y: picture.height / 2 }
    const step = event.shiftKey ? 25 : 1
    onMark(current, inside({ x: from.x + by[0] * step, y: from.y + by[1] * step }, picture))
  }
  return (
    <div className="max-h-[70dvh] overflow-auto border border-rule">
      {/* The marks are told one by one beside it; here the arrow keys move the one that is asked for. */}
      <svg
        ref={svg}
        viewBox={`0 0 ${picture.width} ${picture.height}`}
        className="mx-auto block cursor-crosshair touch-pan-x touch-pan-y select-none"
        // Shown whole it fits its frame; closer up the frame scrolls.
        style={{
          width: zoom === 1 ? `min(100%, calc(68dvh * ${picture.width / picture.height}))` : `${zoom * 100}%`,
        }}
        role="application"
        aria-label={`The picture. ${asked}. Arrow keys move the mark, Enter sets it.`}
        tabIndex={0}
        onKeyDown={onKeyDown}
        onPointerMove={(event) => {
          const spot = dragged.current && spotOf(event)
          if (dragged.current && spot) onMark(dragged.current, spot)
        }}
        onPointerUp={() => {
          dragged.current = null
        }}
        onClick={(event) => {
          if ((event.target as Element).closest('[data-mark]') || current === null) return
          const spot = spotOf(event as unknown as PointerEvent)
          if (!spot) return
          onMark(current, spot)
          onNext()
        }}
      >
        <image href={picture.url} width={picture.width} height={picture.height} />
        <g stroke="var(--verdigris)" strokeWidth={px * 1.2} opacity={0.85}>
          {laid.map(({ number, upper, lower }) => (
            <line key={number} x1={upper.x} y1={upper.y} x2={lower.x} y2={lower.y} />
          ))}
        </g>
        {scale && (
          <path
            d={`M${scale.map(({ x, y }) => `${x},${y}`).join('L')}Z`}
            fill="none"
            stroke="var(--ochre)"
            strokeWidth={px * 1.5}
          />
        )}
        {(Object.entries(marked) as [MarkKey, Spot][]).map(([key, { x, y }]) => (
          <g
            key={key}
            data-mark={key}
            style={{ cursor: 'grab', touchAction: 'none' }}
            onPointerDown={(event) => {
              event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId)
              dragged.current = key
            }}
          >
            <circle cx={x} cy={y} r={px * 14} fill="transparent" />
            <path
              d={`M${x - px * 9},${y}H${x - px * 2}M${x + px * 2},${y}H${x + px * 9}M${x},${y - px * 9}V${y - px * 2}M${x},${y + px * 2}V${y + px * 9}`}
              stroke="var(--paper)"
              strokeWidth={px * 4}
            />
            <path
              d={`M${x - px * 9},${y}H${x - px * 2}M${x + px * 2},${y}H${x + px * 9}M${x},${y - px * 9}V${y - px * 2}M${x},${y + px * 2}V${y + px * 9}`}
              stroke={key === current ? 'var(--ochre)' : 'var(--ink)'}
              strokeWidth={px * 1.8}
            />
          </g>
        ))}
      </svg>
    </div>
  )
}

const STEPS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

function inside({ x, y }: Spot, { width, height }: Picture): Spot {
  return { x: Math.min(width, Math.max(0, x)), y: Math.min(height, Math.max(0, y)) }
}
