/** The last moment that is told apart from a slip of the pen: the year 2200, ms since 1970. */
export const LATEST_TIME = 7_258_118_400_000
