import type { ReactNode } from 'react'
import type { HabitKey, Habits } from '@/core/fitting/habits'
import { Anchor, AnchorPlace, Cutting, Knot, KnotSet, Stretching, TailTrim, Threading } from './KnotHabits'
import { Becket, Lock, SlackBy, SlackInterval, SlackToward, Spacing, WindToward, WrapsBy } from './PinHabits'
import { Covered, Feet, GutTop, Hand, OctaveNames, PairedWire, Restring, Thin } from './WholeHabits'

type Drawing<K extends HabitKey> = (props: { readonly way: Habits[K] }) => ReactNode
const DRAWINGS: { readonly [K in HabitKey]: Drawing<K> } = {
  wrapsBy: WrapsBy,
  slackBy: SlackBy,
  slackInterval: SlackInterval,
  slackToward: SlackToward,
  pairedWire: PairedWire,
  spacing: Spacing,
  windToward: WindToward,
  becket: Becket,
  lock: Lock,
  thin: Thin,
  knot: Knot,
  anchor: Anchor,
  anchorPlace: AnchorPlace,
  knotSet: KnotSet,
  threading: Threading,
  cutting: Cutting,
  tailTrim: TailTrim,
  stretching: Stretching,
  octaveNames: OctaveNames,
  gutTop: GutTop,
  feet: Feet,
  covered: Covered,
  restring: Restring,
  hand: Hand,
}

/** What one way of a habit looks like. */
export function HabitDrawing<K extends HabitKey>({
  habit,
  way,
  className,
}: {
  habit: K
  way: Habits[K]
  className?: string
}) {
  const Draw = DRAWINGS[habit] as Drawing<K>
  return (
    <svg viewBox="0 0 96 66" className={className} aria-hidden>
      <Draw way={way} />
    </svg>
  )
}
