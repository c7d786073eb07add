'use client'

import { memo, type ComponentProps } from 'react'
import type { DrawnString } from './drawn-string'
import type { FieldShape } from './field-shape'
import { Feet, Pegs, Scroll } from './HeadAndFoot'
import { StringStroke } from './StringStroke'

interface FieldDrawingProps {
  readonly shape: FieldShape
  /** Numbers of the positions whose string is gone. */
  readonly broken: readonly number[]
}

/** The instrument's wood, pins and strings, to scale. Drawn once; what moves lies over it. */
export const FieldDrawing = memo(function FieldDrawing({ shape, broken }: FieldDrawingProps) {
  return (
    <g>
      {shape.wood.map((path) => (
        <path
          key={path}
          d={path}
          fill="color-mix(in srgb, var(--wood) 45%, var(--paper))"
          stroke="var(--wood-line)"
          strokeWidth={1.6}
          strokeLinejoin="round"
        />
      ))}
      {shape.lines.map((path) => (
        <path key={path} d={path} fill="none" stroke="var(--wood-line)" strokeWidth={2.4} />
      ))}
      {shape.strings.map((s) =>
        broken.includes(s.position.number) ? (
          <SnappedString key={s.position.number} string={s} />
        ) : (
          <WholeString key={s.position.number} string={s} />
        ),
      )}
      {shape.posts.map((post) => (
        <circle
          key={`${post.x}`}
          cx={post.x}
          cy={post.y}
          r={Math.max(2, post.r)}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth={1}
        />
      ))}
      <Feet feet={shape.feet} />
      <Pegs shape={shape} />
      <Scroll pins={shape.crossPins} />
      {shape.strings
        .filter(
          ({ position }) =>
            position.head.fastening !== 'peg cord' && position.head.pin.setting !== 'across a scroll',
        )
        .map((s) => (
          <g key={s.position.number} stroke="var(--ink)" strokeWidth={0.9} fill="var(--paper)">
            <circle cx={s.x} cy={s.bridge} r={s.weight * 0.35 + 1} />
            <circle cx={s.x} cy={s.pin} r={s.position.head.pin.diameter * 500} />
          </g>
        ))}
    </g>
  )
})

/** A string that runs on over its bridge for more than this is seen there, mm; less is the way through a board. */
const SEEN_BELOW = 20

function WholeString({ string: s }: { string: DrawnString }) {
  return (
    <>
      <line x1={s.x} x2={s.x} y1={s.bridge} y2={s.pin} stroke="var(--line)" strokeWidth={s.weight * 0.6} />
      {s.foot - s.tail > SEEN_BELOW && (
        <line x1={s.x} x2={s.x} y1={s.tail} y2={s.foot} stroke="var(--line)" strokeWidth={s.weight * 0.6} />
      )}
      <StringStroke
        construction={s.position.construction}
        colour={s.position.colour}
        x={s.x}
        from={s.bridge}
        to={s.tail}
        weight={s.weight}
      />
    </>
  )
}

/** A string that gave way: two loose ends with a gap between them. */
function SnappedString({ string: s }: { string: DrawnString }) {
  const middle = (s.bridge + s.tail) / 2
  const gap = Math.min(40, (s.tail - s.bridge) * 0.16)
  const curl = gap * 0.7
  return (
    <g fill="none" stroke="var(--ochre)" strokeWidth={Math.max(2, s.weight * 0.8)} strokeLinecap="round">
      <path
        d={`M${s.x},${s.bridge} C${s.x},${middle - gap * 1.6} ${s.x + curl},${middle - gap} ${s.x + curl * 0.2},${middle - gap * 0.7}`}
      />
      <path
        d={`M${s.x},${s.tail} C${s.x},${middle + gap * 1.8} ${s.x - curl},${middle + gap} ${s.x - curl * 0.3},${middle + gap * 0.6}`}
      />
    </g>
  )
}

interface FieldFrameProps extends Omit<ComponentProps<'svg'>, 'viewBox'> {
  readonly shape: FieldShape
  readonly title: string
}

/** The drawing's frame, in millimetres. */
export function FieldFrame({ shape: { viewBox }, title, ...svg }: FieldFrameProps) {
  return (
    <svg
      {...svg}
      viewBox={`${viewBox.x} ${viewBox.y} ${viewBox.width} ${viewBox.height}`}
      role="img"
      aria-label={title}
      preserveAspectRatio="xMidYMid meet"
    />
  )
}
