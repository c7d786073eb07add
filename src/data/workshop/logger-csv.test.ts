/** Loggers’ files of several makes. */
import { readTable } from '../csv/read-table'
import { guessLogger, mapRoom } from './logger-csv'

const read = (text: string) => {
  const table = readTable(text)
  return mapRoom(table, guessLogger(table), 'Europe/Berlin')
}

test('columns are found by their names, bare times are the house’s, and degrees Fahrenheit become Celsius', () => {
  const { readings, problems } = read(
    'Zeit;Temperatur (°C);Feuchte (%)\n24.11.2026 10:00;21,5;45\n24.11.2026 10:30:00;21,7;44,5\n',
  )
  expect(problems).toEqual([])
  expect(readings).toEqual([
    { at: Date.UTC(2026, 10, 24, 9), celsius: 21.5, humidity: 45 },
    { at: Date.UTC(2026, 10, 24, 9, 30), celsius: 21.7, humidity: 44.5 },
  ])
  const american = read('Date,Temp (F),RH\n07/14/2026 01:05 PM,77,50\n')
  expect(american.readings).toEqual([{ at: Date.UTC(2026, 6, 14, 11, 5), celsius: 25, humidity: 50 }])
  expect(read('time,celsius\n2026-11-24T10:00:00Z,20\n').readings).toEqual([
    { at: Date.UTC(2026, 10, 24, 10), celsius: 20, humidity: null },
  ])
})

test('a row that can’t be read says why, and the others are read', () => {
  const { readings, problems, preview } = read(
    'time,temp,hum\nyesterday,20,40\n2026-11-24 10:00,200,40\n2026-11-24 10:30,20,140\n2026-11-24 11:00,-,-\n2026-13-24 11:00,20,40\n2026-11-24 11:30,20,40\n',
  )
  expect(readings).toHaveLength(1)
  expect(problems.map(({ line, column }) => `${line} ${column}`)).toEqual([
    '2 time',
    '3 temperature',
    '4 humidity',
    '5 temperature',
    '6 time',
  ])
  expect(preview.filter(({ wrong }) => wrong)).toHaveLength(5)
})
