/**
 * Several strings of one instrument fitted in one job: an order for all their steps.
 */
import { restPitch, type StringPosition } from '../instrument/instrument'
import { layersOver } from '../instrument/layers'
import { itemAt } from '../list/item-at'
import { holdOf, inBox, isWhole, listed, numberOf, strings, type FittingContext } from './context'
import { say, type Phrase } from '../measure'
import { tension } from '../strings/tension'
import type { Habits } from './habits'
import type { Phase, Step } from './step'

/** One string of the job. */
export interface Member {
  readonly id: number
  readonly context: FittingContext
  readonly steps: readonly Step[]
}

export interface SharedStep {
  readonly step: Step
  /** The strings that the step is for: one, or all of them. */
  readonly members: readonly [number, ...number[]]
}

/** More of the frame's load than this is never taken off at once. */
export const MOST_UNLOADED = 0.15

/**
 * The steps of a job with several strings. What is said to all alike is said once; strings that are gone are taken
 * through each part of the work together, the longest in first; strings that still hold are changed one for one where
 * the house does so, or where they would unload the frame by more than {@link MOST_UNLOADED}.
 *
 * @param all - the strings of the job, of one instrument; in the order in which they are brought up, where that was planned
 */
export function stepsTogether(
  all: readonly Member[],
  restring: Habits['restring'] | 'as planned',
): readonly SharedStep[] {
  const members = all.map((member) => withoutUncovering(member, all))
  const [first] = members
  if (!first) return []
  if (members.length === 1) return ofSteps(first, first.steps)
  const layered = members.some((m) =>
    members.some((other) => m.context.above.some((p) => p.number === other.context.position.number)),
  )
  const whole = members.filter((m) => isWhole(m.context))
  const oneByOne =
    restring !== 'as planned' &&
    !layered &&
    whole.length > 0 &&
    (restring === 'one for one, alternating ends' || unloads(whole) > MOST_UNLOADED)
  const grouped = oneByOne ? members.filter((m) => !isWhole(m.context)) : members
  const singly = restring !== 'as planned' && oneByOne ? inTurn(whole, restring) : []
  return [
    ...once(members, 'ready'),
    ...phases(grouped, restring === 'as planned' ? 'as given' : layered ? 'layers' : 'longest first'),
    ...singly.flatMap((m) => [
      ...ofPhase(m, 'off'),
      ...ofPhase(m, 'in'),
      ...ofPhase(m, 'wind'),
      ...ofPhase(m, 'tune'),
    ]),
    ...last(members),
  ]
}

/** What lies over a string needs no moving aside where it comes off in the same job. */
function withoutUncovering(member: Member, all: readonly Member[]): Member {
  const inJob = (p: StringPosition) => all.some((m) => m.context.position.number === p.number)
  return member.context.above.every(inJob)
    ? { ...member, steps: member.steps.filter((s) => s.key !== 'move-aside' && s.key !== 'put-back') }
    : member
}

const ofSteps = ({ id }: Member, steps: readonly Step[]): readonly SharedStep[] =>
  steps.map((step) => ({ step, members: [id] }))
const ofPhase = (member: Member, phase: Phase) =>
  ofSteps(
    member,
    member.steps.filter((s) => s.phase === phase),
  )

/** A part of the work told once for all of them, each sentence as often as it differs. */
function once(members: readonly Member[], phase: Phase): readonly SharedStep[] {
  const [first, ...others] = members as readonly [Member, ...Member[]]
  return first.steps
    .filter((s) => s.phase === phase)
    .map((step) => {
      // By its words, so that each sentence is said once.
      const todo = new Map<string, Phrase>()
      for (const member of members) {
        for (const phrase of member.steps.find((s) => s.key === step.key)?.todo ?? [])
          todo.set(JSON.stringify(phrase), phrase)
      }
      const cautions = [
        ...new Set(members.flatMap((m) => m.steps.find((s) => s.key === step.key)?.cautions ?? [])),
      ]
      const inside = members.some((m) => inBox(m.context))
      const told = say`This job is for ${strings(members.map((m) => m.context.position).sort((a, b) => a.number - b.number))}.${inside ? ' Take several through each position of the instrument together.' : ''}`
      return {
        members: [first.id, ...others.map((m) => m.id)],
        step: { ...step, cautions, todo: [told, ...todo.values()] },
      }
    })
}

/** Each part of the work for all strings: as planned; the longest first; or, in layers, off from the outermost and on from the innermost. */
function phases(
  members: readonly Member[],
  by: 'as given' | 'layers' | 'longest first',
): readonly SharedStep[] {
  // All that lies over it, directly or not: the pin that is passed first is wound first.
  const depth = ({ context }: Member) => layersOver(context.instrument, context.position).length
  const layered = by !== 'longest first' && members.some((m) => depth(m) > 0)
  const inward =
    by === 'as given'
      ? members
      : [...members].sort(
          (a, b) =>
            (layered
              ? depth(b) - depth(a)
              : b.context.position.speakingLength - a.context.position.speakingLength) ||
            a.context.position.number - b.context.position.number,
        )
  const off = by === 'longest first' ? inward : [...inward].reverse()
  const on = members.some((m) => depth(m) > 0 || holdOf(m.context) === 'foot')
    ? // A foot is wrapped string by string: each has its turns laid before the next is brought over it.
      inward.flatMap((m) => [...ofPhase(m, 'in'), ...ofPhase(m, 'wind')])
    : [...inward.flatMap((m) => ofPhase(m, 'in')), ...inward.flatMap((m) => ofPhase(m, 'wind'))]
  return [
    ...off.flatMap((m) => ofPhase(m, 'off')),
    ...on,
    ...inward.flatMap((m) => ofPhase(m, 'half')),
    ...inward.flatMap((m) => ofPhase(m, 'tune')),
  ]
}

/** Trimming and looking inside once for all, then each logged. */
function last(members: readonly Member[]): readonly SharedStep[] {
  const with_ = (key: Step['key']) => members.filter((m) => m.steps.some((s) => s.key === key))
  const shared = (['trim', 'look-inside'] as const).flatMap((key): SharedStep[] => {
    const having = with_(key)
    const [first, ...others] = having
    const step = first?.steps.find((s) => s.key === key)
    if (!first || !step) return []
    const numbers = listed(having.map((m) => numberOf(m.context.position)))
    return [
      {
        members: [first.id, ...others.map((m) => m.id)],
        step: {
          ...step,
          cautions: [...new Set(having.flatMap((m) => m.steps.find((s) => s.key === key)?.cautions ?? []))],
          todo: [say`Strings ${numbers}, one after another.`, ...step.todo],
        },
      },
    ]
  })
  return [...shared, ...members.flatMap((m) => ofPhase(m, 'log'))]
}

/** Share of the frame's load that comes off when these are all slack at once. */
function unloads(members: readonly Member[]): number {
  const [first] = members as readonly [Member]
  const { instrument } = first.context
  const pull = (p: StringPosition) => tension(p.construction, p.speakingLength, restPitch(instrument, p))
  const all = instrument.positions.reduce((sum, p) => sum + pull(p), 0)
  return members.reduce((sum, m) => sum + pull(m.context.position), 0) / all
}

/** The order in which whole strings are changed one for one. */
function inTurn(members: readonly Member[], restring: Habits['restring']): readonly Member[] {
  const byNumber = [...members].sort((a, b) => a.context.position.number - b.context.position.number)
  switch (restring) {
    case 'heaviest first':
      return [...members].sort(
        (a, b) => (b.context.figures.strings[0]?.tension ?? 0) - (a.context.figures.strings[0]?.tension ?? 0),
      )
    case 'longest first':
      return [...byNumber].reverse()
    // From both ends by turns, the longest first, so that the load stays spread along the board.
    case 'one for one, alternating ends':
      return byNumber.map((_, i) => itemAt(byNumber, i % 2 === 0 ? byNumber.length - 1 - i / 2 : (i - 1) / 2))
  }
}
