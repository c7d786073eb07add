/** Which suggestions for the need list are meant: all, those for broken strings, or those for stock. */
export const SUGGESTED_OF = ['all', 'broken', 'stock'] as const
export type SuggestedOf = (typeof SUGGESTED_OF)[number]
