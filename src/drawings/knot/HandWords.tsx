import type { HandAt } from '@/core/knots/tails/state'

/** What each marked hand does, below the picture; nothing where a picture has no hands. */
export function HandWords({ hands }: { readonly hands: readonly HandAt[] | null }) {
  return (
    hands && (
      <p className="flex min-h-6 flex-wrap gap-x-4 text-sm">
        {hands.map(({ hand, how }) => (
          <span key={hand}>
            <strong>{hand === 'left' ? 'L' : 'R'}</strong> {hand} hand{' '}
            {how === 'pulls' ? 'pulls' : `holds: ${how}`}
          </span>
        ))}
      </p>
    )
  )
}
