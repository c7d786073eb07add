import { minutesOfGo, sessionsOf } from './sessions'

const go = (strings: number, minutes = 6) => ({
  ids: Array.from({ length: strings }, (_, i) => i + 1),
  minutes,
})

test('goes fill sessions one after another, and none is left out or done twice', () => {
  const goes = [go(2), go(2), go(2), go(1), go(3)]
  const sessions = sessionsOf(goes, 120)
  expect(sessions.map(({ from, to }) => [from, to])).toEqual([
    [0, 1],
    [2, 3],
    [4, 4],
  ])
  expect(sessions.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(
    goes.reduce((sum, one) => sum + minutesOfGo(one), 0),
    9,
  )
  for (const { minutes, stops } of sessions) {
    expect(minutes).toBeLessThanOrEqual(120)
    expect(stops).toBe('at pitch')
  }
})

test('a go longer than a session waits overnight at half pitch, and the next session begins with the rest of it', () => {
  const sessions = sessionsOf([go(1), go(6), go(1)], 100)
  expect(sessions.map(({ from, to, stops }) => [from, to, stops])).toEqual([
    [0, 0, 'at pitch'],
    [1, 1, 'at half pitch'],
    [1, 2, 'at pitch'],
  ])
  expect(sessions.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(27 + 132 + 27, 9)
})

test.each([0, -5, Number.NaN])('a session of %p minutes is none', (length) => {
  expect(() => sessionsOf([go(1)], length)).toThrow('A session takes some minutes: nothing is done in none.')
})
