'use client'

import { counted } from '@/core/list/counted'
import { useEffect, useRef, useState } from 'react'
import type { ChartLine } from '@/core/chart/chart-line'
import type { Proposal } from '@/core/chart/propose'
import type { UsualTension } from '@/core/chart/tension-target'
import { startRebuilding, type Rebuilding } from '@/workers/rebuild'

/** How well the known gauges are known, m. */
const ERRORS = {
  'exactly: they stay as they are': 0,
  'measured on new strings, ±0.01 mm': 1e-5,
  'measured on used strings, ±0.03 mm': 3e-5,
} as const
type Known = keyof typeof ERRORS

interface RebuildPanelProps {
  readonly lines: readonly ChartLine[]
  readonly referenceA: number
  /** Tension of the family's shortest and longest strings, N, for where no gauge is known. */
  readonly usual: UsualTension
  readonly onTake: (lines: readonly ChartLine[]) => void
  readonly onForget: () => void
  readonly onClose: () => void
}

/** Rebuilds what is missing from a chart, out of strings that can be bought. */
export function RebuildPanel({ lines, referenceA, usual, onTake, onForget, onClose }: RebuildPanelProps) {
  const [known, setKnown] = useState<Known>('exactly: they stay as they are')
  const [done, setDone] = useState<{ readonly at: number; readonly of: number } | null>(null)
  const [problem, setProblem] = useState<string | null>(null)
  const [proposal, setProposal] = useState<Proposal | null>(null)
  const running = useRef<Rebuilding | null>(null)
  useEffect(() => () => running.current?.stop(), [])

  const missing = {
    strings: lines.filter((line) => line.construction === null).length,
    lengths: lines.filter((line) => line.speakingLength === null).length,
  }
  const start = async () => {
    setProblem(null)
    setProposal(null)
    setDone({ at: 0, of: lines.length })
    // The last word on progress can come after the answer.
    const progressed = (at: number, of: number) => setDone((had) => had && { at, of })
    running.current = startRebuilding(lines, referenceA, { error: ERRORS[known], usual }, progressed)
    const answer = await running.current.answer
    setDone(null)
    if (!answer.ok) return setProblem(answer.sentence)
    setProposal(answer.proposal)
    onTake(answer.proposal.lines)
  }
  const stop = () => {
    running.current?.stop()
    setDone(null)
  }

  return (
    <section className="sheet p-4 md:p-5" aria-label="Rebuild a lost chart">
      <h2 className="text-xl font-semibold">Rebuild a lost chart</h2>
      <p className="max-w-prose text-soft">
        Leave empty in the table what is not known: gauges, materials, lengths. Missing lengths follow a
        smooth curve; missing strings are chosen from gauges that can be bought, so that sections hold
        together, the tension runs smoothly, and what was measured is honoured. Each material must stand on
        one line at least.
      </p>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <label className="block text-sm">
          The gauges in the table are known
          <select
            className="entry mt-1"
            value={known}
            onChange={(event) => setKnown(event.target.value as Known)}
          >
            {Object.keys(ERRORS).map((word) => (
              <option key={word}>{word}</option>
            ))}
          </select>
        </label>
        <button type="button" className="button" onClick={onForget}>
          Empty all gauges
        </button>
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-3 border-t border-ink pt-3">
        <button
          type="button"
          className="button button-main"
          onClick={start}
          disabled={done !== null || missing.strings + missing.lengths === 0}
        >
          Propose the rest
        </button>
        {done ? (
          <button type="button" className="button" onClick={stop}>
            Stop
          </button>
        ) : (
          <button type="button" className="button" onClick={onClose}>
            Close
          </button>
        )}
        {done && (
          <progress className="progress w-40" value={done.at} max={done.of} aria-label="Strings reckoned" />
        )}
        <p className="text-sm text-soft" role="status">
          {proposal
            ? `Proposed: ${counted(proposal.strings.length, 'string')} and ${counted(proposal.lengths.length, 'length')}. Look them over in the table; nothing is kept yet.`
            : missing.strings + missing.lengths === 0
              ? 'Nothing is missing.'
              : `Missing: ${counted(missing.strings, 'string')} and ${counted(missing.lengths, 'length')}.`}
        </p>
      </div>
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 font-semibold">
          {problem}
        </p>
      )}
    </section>
  )
}
