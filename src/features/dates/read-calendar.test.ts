/** Calendars in and out: what the house writes is read again, and what others write is read as they mean it. */
import { calendarOf } from '@/data/workshop/calendar'
import { readCalendar } from './read-calendar'

const [FROM, UNTIL] = [Date.UTC(2026, 10, 24), Date.UTC(2028, 10, 24)]
const events = (...lines: readonly string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:test', ...lines, 'END:VCALENDAR'].join('\r\n')

test('dates come back as they left, names with commas and signs too', () => {
  const dates = [
    {
      id: 3,
      name: 'Lantern walk, with soup; and “more”',
      at: Date.UTC(2026, 11, 18, 16, 30),
      hours: 1.5,
      instruments: [],
    },
    { id: 9, name: 'Concert', at: Date.UTC(2026, 11, 21, 18), hours: null, instruments: ['lovage'] },
  ]
  const text = calendarOf(dates, { name: 'The Lantern Shelf', concertHours: 2 })
  expect(readCalendar(text, FROM, UNTIL)).toEqual(
    dates.map(({ name, at, hours }) => ({ name, at, hours: hours ?? 2 })),
  )
  expect(text).toContain('UID:date-9@taut-pinset')
})

test('a weekly rehearsal is at its hour on both sides of a change of clocks; one is moved, one falls out', () => {
  const text = events(
    'BEGIN:VTIMEZONE',
    'TZID:Somewhere',
    'BEGIN:DAYLIGHT',
    'DTSTART:20260329T020000',
    'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU',
    'TZOFFSETFROM:+0100',
    'TZOFFSETTO:+0200',
    'END:DAYLIGHT',
    'BEGIN:STANDARD',
    'DTSTART:20261025T030000',
    'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU',
    'TZOFFSETFROM:+0200',
    'TZOFFSETTO:+0100',
    'END:STANDARD',
    'END:VTIMEZONE',
    'BEGIN:VEVENT',
    'UID:1',
    'SUMMARY:Rehearsal',
    'DTSTART;TZID=Somewhere:20270316T193000',
    'DTEND;TZID=Somewhere:20270316T213000',
    'RRULE:FREQ=WEEKLY;COUNT=4',
    'EXDATE;TZID=Somewhere:20270406T193000',
    'END:VEVENT',
    'BEGIN:VEVENT',
    'UID:1',
    'RECURRENCE-ID;TZID=Somewhere:20270323T193000',
    'SUMMARY:Rehearsal',
    'DTSTART;TZID=Somewhere:20270323T200000',
    'DTEND;TZID=Somewhere:20270323T220000',
    'END:VEVENT',
  )
  expect(readCalendar(text, FROM, UNTIL)).toEqual([
    { name: 'Rehearsal', at: Date.UTC(2027, 2, 16, 18, 30), hours: 2 },
    { name: 'Rehearsal', at: Date.UTC(2027, 2, 23, 19), hours: 2 },
    { name: 'Rehearsal', at: Date.UTC(2027, 2, 30, 17, 30), hours: 2 },
  ])
})

test('what is past, endless, without a name or not a calendar does no harm', () => {
  const text = events(
    ...[
      'BEGIN:VEVENT',
      'UID:1',
      'SUMMARY:Over',
      'DTSTART:20200101T100000Z',
      'DTEND:20200101T110000Z',
      'END:VEVENT',
    ],
    ...['BEGIN:VEVENT', 'UID:2', 'DTSTART:20261201T100000Z', 'RRULE:FREQ=DAILY', 'END:VEVENT'],
  )
  const dates = readCalendar(text, FROM, UNTIL)
  expect(dates).toHaveLength(400)
  expect(dates[0]).toEqual({ name: 'A date without a name', at: Date.UTC(2026, 11, 1, 10), hours: null })
  expect(() => readCalendar('name,at\nWalk,tomorrow', FROM, UNTIL)).toThrow('That is no calendar')
  expect(() => readCalendar('', FROM, UNTIL)).toThrow('That is no calendar')
})

test('a calendar of ten thousand events is read; one of more than can be read is refused with its number', () => {
  const one = ['BEGIN:VEVENT', 'DTSTART:20261201T100000Z', 'END:VEVENT']
  const many = (count: number) => events(...Array.from({ length: count }, () => one).flat())
  expect(readCalendar(many(10_000), FROM, UNTIL)).toHaveLength(10_000)
  expect(() => readCalendar(many(20_001), FROM, UNTIL)).toThrow('The calendar holds 20,001 events')
})
