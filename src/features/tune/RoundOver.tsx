interface RoundOverProps {
  readonly isHearing: boolean
  readonly worst: number
  readonly within: number
  readonly onTune: () => void
  readonly onEnd: () => void
}

/** All strings are heard, or all are tuned. */
export function RoundOver({ isHearing, worst, within, onTune, onEnd }: RoundOverProps) {
  return (
    <div className="py-4">
      <h1 id="round" className="text-3xl font-semibold">
        {isHearing ? 'All are heard' : 'All are tuned'}
      </h1>
      <p className="mt-1 text-lg">
        {isHearing
          ? `The furthest is ${worst.toFixed(0)} cents off. Now each is left where the others bring it right.`
          : worst <= within
            ? `By what they do to each other, none is further off than ${worst.toFixed(1)} cents now.`
            : `By what they do to each other, one stands ${worst.toFixed(1)} cents off now: go round once more.`}
      </p>
      <button type="button" className="button button-main mt-3" onClick={isHearing ? onTune : onEnd}>
        {isHearing ? 'Begin to tune' : 'End the round'}
      </button>
    </div>
  )
}
