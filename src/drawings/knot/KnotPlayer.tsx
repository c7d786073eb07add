'use client'

import dynamic from 'next/dynamic'
import {
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
  type KeyboardEvent,
  type PointerEvent,
} from 'react'
import type { Part, TyingState } from '@/core/knots/tails/state'
import { FROM_INSIDE, FROM_OUTSIDE } from '@/core/knots/topology/crossings'
import type { Vec3 } from '@/core/knots/topology/curve'
import { tightness, type Tying } from '@/core/knots/tying'
import { itemAt } from '@/core/list/item-at'
import { useTints } from '@/ui/use-tints'
import { asSeen, frameOf, handsOf, nameOfRodAt, type Hand } from './frame'
import { KnotDrawing } from './KnotDrawing'
import { HandWords } from './HandWords'
import { Motion } from './motion'
import { USUAL_LOOK, type StringLook } from './string-look'

const KnotScene = dynamic(() => import('./KnotScene'), { ssr: false })

export interface KnotPlayerProps {
  readonly tying: Tying
  /** The stage that is shown, counted from 0; it is tied before the eye when it changes. */
  readonly stage: number
  readonly hand: Hand
  readonly inside: boolean
  readonly slow: boolean
  readonly title: string
  readonly look?: StringLook
  readonly className?: string
}

/** Stages a second. */
const [FAST, SLOW] = [0.8, 0.22]
const STEP = 15
const PER_PIXEL = 0.5

/** A fastening tied before the eye, to be turned by dragging or by keys; where there is no WebGL, the same stage as a drawing. */
export function KnotPlayer({
  tying,
  stage,
  hand,
  inside,
  slow,
  title,
  look = USUAL_LOOK,
  className,
}: KnotPlayerProps) {
  const canShow = useSyncExternalStore(never, hasWebGl, () => null)
  const still = useSyncExternalStore(
    never,
    () => window.matchMedia('(prefers-reduced-motion: reduce)').matches,
    () => true,
  )
  const frame = useMemo(() => frameOf(tying, FROM_OUTSIDE, hand), [tying, hand])
  const done = useMemo(() => tying.stateAt(stage + 1), [tying, stage])
  const palette = useTints()
  const tints = useMemo(
    () =>
      palette && {
        string: palette[look.tint],
        fresh: palette.verdigris,
        ink: palette.ink,
        light: palette.paper,
        wood: palette.wood,
        wire: palette['wire-light'],
        anchor: palette['gut-light'],
      },
    [palette, look.tint],
  )
  const [motion] = useState(() => new Motion(stage))
  const names = useRef<HTMLDivElement>(null)
  const pressed = useRef<{ x: number; y: number } | null>(null)

  useEffect(() => motion.tie(stage, still ? 0 : slow ? SLOW : FAST), [motion, stage, slow, still])
  useEffect(() => motion.lookFrom(inside), [motion, inside])

  const hold = (where: { x: number; y: number } | null) => {
    pressed.current = where
    motion.hold(where !== null)
  }
  const onMove = (event: PointerEvent) => {
    if (!pressed.current) return
    motion.turnBy(
      (event.clientX - pressed.current.x) * PER_PIXEL,
      (event.clientY - pressed.current.y) * PER_PIXEL,
    )
    pressed.current = { x: event.clientX, y: event.clientY }
  }
  const onKey = (event: KeyboardEvent) => {
    const by = event.shiftKey ? TURNS[event.key] : undefined
    if (!by) return
    event.preventDefault()
    event.stopPropagation()
    motion.turnBy(...by)
  }
  const onMoved = useCallback(
    (state: TyingState) => {
      const box = names.current
      if (!box) return
      const zoom = Math.min(box.clientWidth / frame.width, box.clientHeight / frame.height)
      const placed: DOMRect[] = []
      for (const label of box.children)
        if (label instanceof HTMLElement)
          place(label, state, motion, {
            placed,
            zoom,
            hand,
            middle: -(frame.top + frame.height / 2),
            box,
            names: tying.names,
            isTight: tightness(tying, motion.at) > 0.2,
          })
    },
    [motion, frame, hand, tying],
  )

  if (canShow === null || tints === null) return <div className={className} />
  if (!canShow) {
    return (
      <KnotDrawing
        state={done}
        frame={frame}
        view={inside ? FROM_INSIDE : FROM_OUTSIDE}
        hand={hand}
        title={title}
        board={tying.throughBoard ? { bore: look.bore } : null}
        names={tying.names}
        tight={tightness(tying, stage + 1) > 0}
        className={className}
      />
    )
  }
  return (
    <>
      <div
        role="group"
        aria-label={`${title} Turn it by dragging, or with Shift and the arrow keys.`}
        tabIndex={0}
        onKeyDown={onKey}
        className={`relative overflow-hidden touch-none select-none cursor-grab active:cursor-grabbing ${className ?? ''}`}
        onPointerDown={(event) => {
          hold({ x: event.clientX, y: event.clientY })
          event.currentTarget.setPointerCapture(event.pointerId)
        }}
        onPointerMove={onMove}
        onPointerUp={() => hold(null)}
        onPointerCancel={() => hold(null)}
      >
        <KnotScene
          bore={look.bore}
          tying={tying}
          motion={motion}
          frame={frame}
          hand={hand}
          tints={tints}
          surface={look.surface}
          openness={look.openness}
          onMoved={onMoved}
        />
        <div
          ref={names}
          aria-hidden
          className="pointer-events-none absolute inset-0 overflow-hidden text-sm font-semibold"
        >
          {LABELS.map((name) => (
            <span
              key={name}
              data-name={name}
              className={`absolute left-0 top-0 whitespace-nowrap leading-tight ${HANDS[name] ? 'grid size-6 place-items-center rounded-full border-2 border-ink bg-paper' : 'bg-paper/85 px-1'}`}
            >
              {HANDS[name] ?? name}
            </span>
          ))}
        </div>
      </div>
      <HandWords hands={done.hands ? handsOf(done, hand) : null} />
    </>
  )
}

const LABELS = ['left hand', 'right hand', 'standing part', 'working end', 'tag', 'rod'] as const
/** How a hand is marked. */
const HANDS: Readonly<Record<string, string>> = { 'left hand': 'L', 'right hand': 'R' }
const TURNS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
}

interface Placing {
  readonly zoom: number
  readonly hand: Hand
  readonly middle: number
  readonly box: HTMLElement
  readonly isTight: boolean
  readonly names: Tying['names']
  /** Names that are already there; the next ones keep off them. */
  readonly placed: DOMRect[]
}

/** Puts a name beside what it names. */
function place(
  label: HTMLElement,
  state: TyingState,
  { turn, tilt }: Motion,
  { zoom, hand, middle, box, isTight, names, placed }: Placing,
): void {
  const { curve, parts, fixtures, leads } = state
  const name = label.dataset.name
  const holds = handsOf(state, hand).find((one) => name === `${one.hand} hand`)
  const rod = fixtures[0]
  const called = names[name as Part]
  const at = name?.endsWith('hand')
    ? holds?.at
    : name === 'rod'
      ? rod && nameOfRodAt(rod)
      : called === null
        ? undefined
        : nameAt(curve, parts, name as Part, leads)
  // Drawn down or wound, only its ends are named: a name would hide what matters.
  label.hidden =
    !at ||
    (isTight && name !== 'tag' && name !== 'standing part' && !holds) ||
    (name === 'working end' && rod?.kind === 'tuning pin' && parts.includes('tag'))
  if (!at || label.hidden) return
  if (!holds) label.textContent = name === 'rod' ? (rod?.kind ?? '') : (called ?? '')
  const [x, y] = itemAt(asSeen([[at[0], at[1], at[2]]], { turn, tilt }, hand), 0)
  // A short rod is named below itself: its name would hide it.
  const lower = name === 'rod' && rod && rod.half < 6 ? rod.radius + 1.2 : 0
  const centre = itemAt(asSeen([[0, middle, 0]], { turn, tilt }, hand), 0)
  const left = box.clientWidth / 2 + (x - centre[0]) * zoom
  const top = box.clientHeight / 2 - (y - lower - centre[1]) * zoom
  const [width, height] = [label.offsetWidth, label.offsetHeight]
  if (holds) {
    // A hand is marked where it holds; every other name keeps off it.
    placed.push(new DOMRect(left - width / 2, top - height / 2, width, height))
    label.style.transform = `translate(${left - width / 2}px, ${top - height / 2}px)`
    return
  }
  const beside = left > box.clientWidth * 0.6 ? left - width - zoom * 0.9 : left + zoom * 0.9
  const across = Math.max(2, Math.min(box.clientWidth - width - 2, beside))
  let down = Math.max(2, Math.min(box.clientHeight - height - 2, top - height / 2))
  for (const other of placed) {
    if (
      across < other.right &&
      across + width > other.left &&
      down < other.bottom &&
      down + height > other.top
    )
      down = other.bottom + 1
  }
  placed.push(new DOMRect(across, down, width, height))
  label.style.transform = `translate(${across}px, ${down}px)`
}

/**
 * Where a part is named: the standing part where it leaves the picture, or at its tip while it is led; the tag near its end;
 * the working end at its tip or, once the tag is laid, well before it.
 */
function nameAt(
  curve: TyingState['curve'],
  parts: readonly Part[],
  part: Part,
  leads: TyingState['leads'],
): Vec3 | undefined {
  const of = parts.flatMap((p, i) => (p === part ? [i] : []))
  if (of.length < 3) return undefined
  const led = leads === 'standing part' && itemAt(curve, 0)[1] < 6
  const share =
    part === 'standing part' ? (led ? 0 : 0.12) : part === 'tag' ? 0.8 : parts.includes('tag') ? 0.25 : 1
  return curve[itemAt(of, Math.round((of.length - 1) * share))]
}

const never = () => () => undefined
let webGl: boolean | null = null
function hasWebGl(): boolean {
  if (webGl === null) {
    try {
      webGl = document.createElement('canvas').getContext('webgl2') !== null
    } catch {
      webGl = false
    }
  }
  return webGl
}
