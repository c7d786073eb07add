import { endpoints } from '@/boundary/endpoints'
import type { Straying } from '@/core/ear/false-tone'
import type { StringPosition } from '@/core/instrument/instrument'
import type { Condition } from '@/core/wear/life'
import { alsoSeen, type Sign } from '@/core/wear/signs'
import { useAct } from '@/ui/shell/use-act'
import { centsText } from './words'

/** How the string looked when it was looked at last. */
export interface LastLook {
  readonly condition: Condition
  readonly signs: readonly Sign[]
}

interface FalseToneProps {
  readonly slug: string
  readonly position: StringPosition
  readonly look: LastLook | null
  readonly straying: readonly Straying[]
}

/** A string that sounds false at every pluck: what is heard, and one press to note it. */
export function FalseTone({ slug, position, look, straying }: FalseToneProps) {
  const { act, refused } = useAct()
  const worst = [...straying].sort((a, b) => Math.abs(b.cents) - Math.abs(a.cents))[0]
  if (!worst || look?.signs.includes('false tone')) return null
  const note = () =>
    act(
      endpoints.logLook(slug),
      { number: position.number, ...withList(alsoSeen(look, 'false tone')) },
      'Noted: it sounds false. Its chance of breaking goes up with it.',
    )
  return (
    <div
      role="status"
      aria-label="A false tone"
      className="mt-3 border-l-4 border-ochre bg-ochre-wash px-3 py-2 text-sm"
    >
      <p>
        <strong>It sounds false.</strong> In three plucks its partial {worst.n} stood {centsText(worst.cents)}{' '}
        cents from where the others put it. Damp all other strings and pluck again; if it stays, no tuning
        will make it true.
      </p>
      <button type="button" className="button mt-2 w-full" onClick={() => void note()}>
        Note that it is false
      </button>
      {refused && (
        <p role="alert" className="mt-2 font-semibold text-ochre">
          {refused.sentence}
        </p>
      )}
    </div>
  )
}

const withList = ({ condition, signs }: LastLook) => ({ condition, signs: [...signs] })
