'use client'

import { useMemo, useState } from 'react'
import { endpoints } from '@/boundary/endpoints'
import type { RoundBench, RoundTurn } from '@/data/views/round-view'
import { useOutbox } from '@/ui/offline/use-outbox'
import { useAct } from '@/ui/shell/use-act'
import { RoundRunning } from './RoundRunning'
import { RoundStart } from './RoundStart'
import { useBoard, type RoundSet } from './use-round'
import { waitingTurns } from './waiting-turns'
import { centsText } from './words'

interface RoundSheetProps {
  readonly bench: RoundBench
}

/** A whole instrument tuned string by string: by what is heard, by what is typed, or for practice. */
export function RoundSheet({ bench }: RoundSheetProps) {
  const board = useBoard(bench)
  const { act, actLater, refused } = useAct()
  const [practice, setPractice] = useState<RoundSet | null>(null)
  const [practised, setPractised] = useState<readonly RoundTurn[]>([])
  const [hearsFirst, setHearsFirst] = useState(false)
  const { round, instrument } = bench
  const { waits } = useOutbox()
  const turns = useMemo(
    () =>
      round
        ? [...round.turns, ...waitingTurns(instrument, endpoints.logRoundString(round.id).path, waits)]
        : [],
    [round, instrument, waits],
  )
  if (practice)
    return (
      <RoundRunning
        key="practice"
        bench={bench}
        board={board}
        set={practice}
        turns={practised}
        hearsFirst={hearsFirst}
        isPractice
        refused={null}
        onLog={(turn) => setPractised((had) => [...had, turn])}
        onEnd={() => setPractice(null)}
      />
    )
  if (round)
    return (
      <RoundRunning
        key={round.id}
        bench={bench}
        board={board}
        set={round}
        turns={turns}
        hearsFirst={hearsFirst || (turns.length > 0 && turns.every(({ left }) => left === null))}
        isPractice={false}
        refused={refused?.sentence ?? null}
        onLog={({ string, found, left }, name) =>
          void actLater(
            endpoints.logRoundString(round.id),
            { number: instrument.positions[string]?.number ?? null, found, left },
            `${name}: found at ${centsText(found)}${left === null ? '' : `, left at ${centsText(left)}`} cents.`,
          )
        }
        onEnd={() => void act(endpoints.endRound(round.id), {}, `The round of ${instrument.name} is over.`)}
      />
    )
  return (
    <RoundStart
      bench={bench}
      board={board}
      refused={refused?.sentence ?? null}
      onBegin={(set, hears) => {
        setHearsFirst(hears)
        void act(
          endpoints.beginRound,
          {
            slug: instrument.slug,
            temperament: set.temperament.name,
            order: set.order,
            within: set.within,
          },
          `A round of ${instrument.name} is begun.`,
        )
      }}
      onPractise={(set, hears) => {
        setHearsFirst(hears)
        setPractised([])
        setPractice(set)
      }}
    />
  )
}
