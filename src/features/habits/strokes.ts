/** The strokes of the small drawings of habits. */
export const INK = { stroke: 'var(--ink)', fill: 'none', strokeWidth: 1.4 } as const
export const STRING = {
  stroke: 'var(--verdigris)',
  fill: 'none',
  strokeWidth: 2.4,
  strokeLinecap: 'round',
  strokeLinejoin: 'round',
} as const
