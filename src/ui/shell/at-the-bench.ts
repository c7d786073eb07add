/** The cookie that keeps who is at the bench on this device: a name of the house's people, encoded. */
export const AT_THE_BENCH = 'bench'

/** Who of the house's people the cookie names; null where it names nobody. */
export const nameAtBench = (told: string | undefined, people: readonly string[]): string | null =>
  people.find((name) => encodeURIComponent(name) === told) ?? null
