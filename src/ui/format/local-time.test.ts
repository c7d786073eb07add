import { momentOf, typedTime } from './local-time'

test('a day and an hour are read in the house’s zone, on both sides of a change of clocks', () => {
  expect(momentOf('2026-12-21', '19:30', 'Europe/Berlin')).toBe(Date.UTC(2026, 11, 21, 18, 30))
  expect(momentOf('2026-07-01', '19:30', 'Europe/Berlin')).toBe(Date.UTC(2026, 6, 1, 17, 30))
  expect(momentOf('2026-07-01', '00:00', 'Pacific/Auckland')).toBe(Date.UTC(2026, 5, 30, 12, 0))
})

test('what was typed comes back as it was', () => {
  for (const timeZone of ['UTC', 'Europe/Berlin', 'America/St_Johns', 'Pacific/Auckland'])
    for (let month = 1; month <= 12; month += 1) {
      const day = `2027-${String(month).padStart(2, '0')}-15`
      const at = momentOf(day, '07:05', timeZone)
      expect(at === null ? null : typedTime(at, timeZone)).toEqual({ day, clock: '07:05' })
    }
})

test('what is no day is none', () => {
  expect(momentOf('2027-02-30', '12:00', 'UTC')).toBeNull()
  expect(momentOf('', '12:00', 'UTC')).toBeNull()
  expect(momentOf('2027-02-03', '', 'UTC')).toBeNull()
})
