/** The letters of notes and their signs. */

export const LETTERS = ['C', 'D', 'E', 'F', 'G', 'A', 'B'] as const
export type Letter = (typeof LETTERS)[number]
export type Accidental = -1 | 0 | 1
