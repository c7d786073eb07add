/** What a drill fetches only when it is first wanted: the states of knots being drawn down, and the scene they are shown in. */
export const fetchAhead = (): Promise<unknown> =>
  Promise.all([import('@/core/knots/drawn/states.json'), import('@/drawings/knot/KnotScene')])
