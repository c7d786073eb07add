/** The ends that strings are sold with. */
export const STRING_ENDS = ['plain', 'loop', 'ball'] as const
export type StringEnd = (typeof STRING_ENDS)[number]
