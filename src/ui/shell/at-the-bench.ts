/** The cookie that keeps who is at the bench on this device: a name of the house's people, encoded. */
export const AT_THE_BENCH = 'bench'

/** Its value among a page's or a request's cookies; undefined where there is none. */
export const benchIn = (cookies: string): string | undefined =>
  cookies
    .split(/;\s*/)
    .find((one) => one.startsWith(`${AT_THE_BENCH}=`))
    ?.slice(AT_THE_BENCH.length + 1)

/** Who of the house's people the cookie names; null where it names nobody. */
export const nameAtBench = (told: string | undefined, people: readonly string[]): string | null =>
  people.find((name) => encodeURIComponent(name) === told) ?? null
