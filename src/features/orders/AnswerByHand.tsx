'use client'

import { useState, type FormEvent } from 'react'
import { callsByHand } from '@/boundary/endpoints-by-hand'
import type { LineAnswer } from '@/core/stores/order-way'
import type { OrderView } from '@/data/views/orders-view'
import { Selection } from '@/ui/form/Selection'
import type { Refused } from '@/ui/shell/use-act'
import type { Act } from './SendByHand'

const ANSWERS: readonly { readonly value: LineAnswer | ''; readonly word: string }[] = [
  { value: '', word: 'no answer yet' },
  { value: 'confirmed', word: 'yes, it comes' },
  { value: 'back-ordered', word: 'later' },
  { value: 'refused', word: 'not available' },
  { value: 'substituted', word: 'another part' },
]

interface AnswerByHandProps {
  readonly order: OrderView
  /** Part numbers of the supplier’s catalogue, with their names. */
  readonly parts: readonly { readonly part: string; readonly name: string }[]
  readonly act: Act
  readonly problem: Refused | null
}

/** What a real supplier answered, line by line; what nobody answered stays open. */
export function AnswerByHand({ order, parts, act, problem }: AnswerByHandProps) {
  const open = order.lines.filter(
    ({ replacesId, answer, outstanding }) =>
      replacesId === null && outstanding > 0 && (answer === null || answer === 'back-ordered'),
  )
  const [said, setSaid] = useState<Readonly<Record<number, LineAnswer | ''>>>({})
  const [offered, setOffered] = useState<Readonly<Record<number, string>>>({})
  if (open.length === 0) return null
  const answered = open.flatMap(({ id }) => {
    const answer = said[id] ?? ''
    if (answer === '') return []
    return [{ lineId: id, answer, offered: answer === 'substituted' ? (offered[id] ?? null) : null }]
  })
  const keep = (event: FormEvent) => {
    event.preventDefault()
    void act(
      callsByHand.keepAnswer(order.id),
      { lines: answered },
      `The answer of ${order.supplier.name} is saved.`,
    )
  }
  return (
    <form onSubmit={keep} noValidate className="mt-4 border-t border-ink pt-2">
      <h2 className="text-lg font-semibold">What they answered</h2>
      <div className="mt-1 grid gap-3">
        {open.map(({ id, part, name }) => (
          <div key={id} className="grid gap-1">
            <Selection
              label={`${part}: ${name}`}
              value={said[id] ?? ''}
              options={ANSWERS}
              choose={(answer) => setSaid((had) => ({ ...had, [id]: answer }))}
            />
            {said[id] === 'substituted' && (
              <Selection
                label="They offer instead"
                value={offered[id] ?? ''}
                options={[
                  { value: '', word: 'choose a part' },
                  ...parts
                    .filter((one) => one.part !== part)
                    .map((one) => ({ value: one.part, word: `${one.part}: ${one.name}` })),
                ]}
                choose={(other) => setOffered((had) => ({ ...had, [id]: other }))}
              />
            )}
            {problem?.field === `line ${id}` && (
              <p className="text-sm font-semibold text-ochre">{problem.sentence}</p>
            )}
          </div>
        ))}
      </div>
      <button type="submit" className="button mt-3 w-full" disabled={answered.length === 0}>
        Save answer
      </button>
    </form>
  )
}
