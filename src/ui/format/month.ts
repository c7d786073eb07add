/** `March`, or `March 2024` where it was twelve months ago or more. By the calendar of a time zone. */
export function monthText(at: number, now: number, timeZone: string): string {
  const [then, today] = [at, now].map((time) => {
    const parts = new Intl.DateTimeFormat('en-GB', {
      year: 'numeric',
      month: 'numeric',
      timeZone,
    }).formatToParts(time)
    const part = (type: string) => Number(parts.find((one) => one.type === type)?.value)
    return { year: part('year'), month: part('month') }
  }) as [YearAndMonth, YearAndMonth]
  const month = new Intl.DateTimeFormat('en-GB', { month: 'long', timeZone }).format(at)
  const ago = 12 * (today.year - then.year) + today.month - then.month
  return ago < 12 ? month : `${month} ${then.year}`
}

interface YearAndMonth {
  readonly year: number
  readonly month: number
}
