/** The cookie that keeps who is at the bench on this device: a name of the house's people, encoded. */
export const AT_THE_BENCH = 'bench'
