/** What draws the knots of a job, fetched before it is wanted: it can't be while the house is away. */
export const fetchKnotsAhead = (): Promise<unknown> =>
  Promise.all([import('../knot/KnotScene'), import('@/core/knots/drawn/states.json')])
