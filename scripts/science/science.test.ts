/** What docs/SCIENCE.md says of identification and rebuilding is what the program does. */
import { readFileSync } from 'node:fs'
import { readShelf } from '@/data/demo/shelf-files'
import { calibrate } from './identify'
import { calibrateMeasuring } from './measuring'
import { photoTruth } from './photo'
import { DAYS, learnerReports } from './practice'
import { tuneRounds } from './rounds'
import { foretold } from './settling'
import { foretoldUnknown } from './unknown-ages'
import { foretoldBreaks, STATED } from './wear'
import { tables, withTables } from './write'

const { instruments } = readShelf('demo')

test('a stated 80 % is right 76 to 84 % of the time, over 2,000 and more broken strings', () => {
  const { rows, bands } = calibrate(instruments)
  expect(rows.reduce((sum, { cases }) => sum + cases, 0)).toBeGreaterThanOrEqual(2000)
  const about80 = bands.find(({ from, to }) => from === 76 && to === 84)!
  expect(about80.cases).toBeGreaterThan(100)
  expect(about80.right).toBeGreaterThan(0.76)
  expect(about80.right).toBeLessThan(0.84)
}, 120_000)

test('two in three true cuts lie within what is said of them, measured or not, and measuring makes them surer', () => {
  for (const { withinBefore, withinAfter, toldBefore, toldAfter } of calibrateMeasuring()) {
    for (const share of [withinBefore, withinAfter]) {
      expect(share).toBeGreaterThan(0.58)
      expect(share).toBeLessThan(0.78)
    }
    expect(toldAfter).toBeLessThan(0.6 * toldBefore)
  }
}, 120_000)

test('marked lengths from a picture are true to half a percent in the middle, and to 1.5 % at worst, short ones from nearer, with a card where they are shortest', () => {
  for (const { median, worstLong, worstNearer, ruler, within } of photoTruth()) {
    expect(median).toBeLessThan(0.005)
    expect(worstLong).toBeLessThan(0.015)
    expect(worstNearer).toBeLessThan(0.015)
    expect(ruler).toBeLessThan(0.015)
    // What is told is a little more than it must be: a mark is off by two pixels at most, not on average.
    expect(within).toBeGreaterThan(0.66)
  }
}, 120_000)

test('the band of 80 % holds 76 to 84 % of the readings to come, and slips are found without many false alarms', () => {
  const { bands, slips, found, settled, falseAlarms } = foretold()
  for (const { inBand, all } of bands) {
    expect(all).toBeGreaterThan(1000)
    expect(inBand / all).toBeGreaterThan(0.76)
    expect(inBand / all).toBeLessThan(0.84)
  }
  expect(slips).toBeGreaterThan(200)
  expect(found / slips).toBeGreaterThan(0.8)
  expect(falseAlarms / settled).toBeLessThan(0.02)
}, 120_000)

test('sets of strings break as often as is stated; with a wrong shape within nine points', () => {
  for (const { name, happened } of foretoldBreaks())
    STATED.forEach((stated, i) => {
      expect([
        name,
        Math.abs((happened[i] as number) - stated) < (name.startsWith('shape') ? 0.09 : 0.04),
      ]).toEqual([name, true])
    })
}, 120_000)

test('where half of all ages are not known, as much breaks as is stated; were they taken for new, too little would be stated', () => {
  for (const { name, bins, ratio, ratioAsNew } of foretoldUnknown()) {
    for (const { cases, stated, happened } of bins) {
      expect(cases).toBeGreaterThan(400)
      expect([name, Math.abs(stated - happened) < 0.08]).toEqual([name, true])
    }
    expect(ratio).toBeGreaterThan(0.97)
    expect(ratio).toBeLessThan(1.08)
    expect(ratioAsNew).toBeLessThan(0.93)
  }
}, 120_000)

test('what is allowed for saves rounds, most where all was heard first; a board that is softer is known after a session', () => {
  for (const { plain, foundOnTheWay, heardFirst, soft, learned } of tuneRounds()) {
    expect(foundOnTheWay.rounds).toBeLessThanOrEqual(plain.rounds)
    expect(heardFirst.rounds).toBe(1)
    expect(heardFirst.afterOne).toBeLessThan(2)
    expect(learned.afterOne).toBeLessThanOrEqual(soft.afterOne)
  }
  const down = tuneRounds().filter(({ name }) => name.endsWith('a semitone down'))
  for (const { plain, heardFirst } of down) expect(heardFirst.afterOne).toBeLessThan(plain.afterOne / 4)
}, 120_000)

test('the tables are those that `npm run science` writes', () => {
  const text = readFileSync('docs/SCIENCE.md', 'utf8')
  expect(withTables(text, tables())).toBe(text)
  expect(() => withTables('no marks', tables())).toThrow('expected the marks')
}, 120_000)

test('a learner who does not exist is scheduled sensibly over sixty days: short goes, wider gaps, as much known as was expected', () => {
  for (const {
    learner,
    goes,
    most,
    asked,
    gaps,
    rightAgain,
    expected,
    drillsSeen,
    workshop,
  } of learnerReports()) {
    expect(most).toBeLessThanOrEqual(8)
    expect(asked / goes).toBeLessThan(7)
    expect(gaps[1]).toBeGreaterThanOrEqual(gaps[0])
    expect(drillsSeen).toBe(workshop === 'Yarrow' ? 6 : 8)
    if (learner === 'forgetful') expect(rightAgain).toBeLessThan(expected)
    else expect(Math.abs(rightAgain - expected)).toBeLessThan(0.05)
    expect(goes).toBeLessThanOrEqual(DAYS)
  }
})
