/** Practice as the house keeps it: by person, undone as one, refused where it is none; and one old string, over the demo. */
import { sentenceOf } from '@/boundary/sentence-of'
import { cardsOf } from '@/core/practice/cards'
import { goOn } from '@/core/practice/ask'
import type { Drill } from '@/core/practice/drill'
import { eachOnDemo } from '../demo/each-on-demo'
import { stringsOn } from '../fitted/fitted'
import { yearsOn } from '@/core/wear/on-since'
import { stringLives } from '../fitted/lives'
import { retireInstrument } from '../instruments/about-instrument'
import { allInstruments, instrumentBySlug, positionId } from '../instruments/instruments'
import { finishJob } from '../jobs/finish-job'
import { jobById } from '../jobs/job'
import { openReplacement } from '../jobs/jobs-together'
import type { Store } from '../store/database'
import { cuts } from '../store/schema'
import { practiceView } from '../views/practice-view'
import { drillGo, dueGo } from './goes'
import { offeredBefore } from './offered'
import { beginOldString, oldStringOn } from './old-string'
import { answersBy, keepAnswers, rememberedBy, type GivenAnswer } from './practice'

let store: Store
eachOnDemo((opened) => {
  store = opened
})
const given = (card: string, isRight = true, ago = 0): GivenAnswer => ({
  card,
  drill: card.split(':')[0] as Drill,
  isRight,
  took: 4321.4,
  mistake: isRight ? null : 'one octave off',
  off: null,
  ago,
})
const DAY = 86_400
const CARD = 'which:lovage:3rd octave'

test('a go is kept by whoever did it, and undone as one; what is asked again in a go counts once', () => {
  const { actionId } = keepAnswers(store, 'Ada', [
    given(CARD),
    given(CARD, false),
    given('tie:third loop:order', true, 9 * DAY),
  ])
  expect(answersBy(store, 'Ada')).toHaveLength(3)
  expect(answersBy(store, 'Bo')).toEqual([])
  const known = rememberedBy(store, 'Ada')
  expect(known.get(CARD)).toMatchObject({ reps: 1, lapses: 0 })
  expect(answersBy(store, 'Ada').map(({ recall }) => recall)).toEqual([null, null, null])
  const view = practiceView(store, 'Ada', 'lovage')!
  expect(view).toMatchObject({ known: 2, due: 1, slug: 'lovage' })
  expect(practiceView(store, 'Bo', 'lovage')).toMatchObject({ known: 0, due: 0, measured: [], effect: null })
  expect(dueGo(store, 'Ada').cards[0]?.id).toBe('tie:third loop:order')
  store.undo(actionId)
  expect(rememberedBy(store, 'Ada').size + answersBy(store, 'Ada').length).toBe(0)
})

test('what there is nothing of is refused in a sentence, and nothing of the go is kept', () => {
  const refused = (card: string, drill?: Drill) =>
    sentenceOf(() =>
      keepAnswers(store, 'Ada', [given(CARD), { ...given(card), ...(drill ? { drill } : {}) }]),
    )
  expect(refused('which:nobody:3rd octave')).toBe('There is no instrument called “nobody” here.')
  expect(refused('tie:granny:order')).toBe('There is nothing called “tie:granny:order” to practise.')
  expect(refused(CARD, 'slack')).toMatch(/nothing called/)
  expect(answersBy(store, 'Ada')).toEqual([])
  // One that has left the shelf since it was begun is known still, and asked no more.
  retireInstrument(store, 'lovage', true)
  keepAnswers(store, 'Ada', [given(CARD, false, 9 * DAY)])
  expect(dueGo(store, 'Ada').cards.map(({ id }) => id)).not.toContain(CARD)
})

test('every drill of every instrument has something to ask, and what is asked is on its own instruments', () => {
  for (const { instrument } of allInstruments(store))
    for (const drill of practiceView(store, '', instrument.slug)!.drills) {
      const go = drillGo(store, '', drill, instrument.slug)
      const questions = goOn(go.cards, go.owns, go.seed)
      expect([instrument.slug, drill, questions.length > 0]).toEqual([instrument.slug, drill, true])
      for (const { slug } of questions) expect(slug).toBe(instrument.slug)
    }
  const first = drillGo(store, '', 'tie', 'lovage', 'tie:third loop:judge')
  expect(first.cards[0]?.id).toBe('tie:third loop:judge')
})

test('before a job what was longest ago is offered; once it was done it is not', () => {
  const chervil = instrumentBySlug(store, 'chervil')
  const job = jobById(store, openReplacement(store, chervil, 3).result.jobId)
  const offered = offeredBefore(store, '', job)!
  expect(offered.card.id).toMatch(/^tie:overhand on a bead/)
  expect(store.now() - offered.last!).toBeGreaterThan(42 * DAY * 1000)
  const all = cardsOf([chervil]).map(({ id }) => given(id))
  keepAnswers(store, '', all)
  expect(offeredBefore(store, '', job)).toBeNull()
  expect(offeredBefore(store, 'Ada', job)).not.toBeNull()
})

test('one old string goes off and on again: nothing is cut, it settles as one that was moved, and keeps its age', () => {
  const lovage = instrumentBySlug(store, 'lovage')
  const [old] = oldStringOn(store, lovage)
  const id = positionId(lovage, old!.number)
  const on = () => stringsOn(store, lovage.id).find(({ positionIds }) => positionIds.includes(id))!
  const aged = yearsOn(stringLives(store).get(on().id)!, store.now())
  const { jobId } = beginOldString(store, lovage, old!.number).result
  expect(sentenceOf(() => beginOldString(store, lovage, old!.number))).toMatch(/is open already/)
  expect(sentenceOf(() => beginOldString(store, lovage, 47))).toMatch(/not a string to practise on/)
  const job = jobById(store, jobId)
  expect(job).toMatchObject({ forPractice: true, sameString: true, coil: null })
  expect(offeredBefore(store, '', job)).toBeNull()
  expect(job.steps.find(({ key }) => key === 'take-off')?.title).toBe('Take it off whole')
  const before = store.rows.select().from(cuts).all().length
  const realFittings = () => {
    const { practised, not } = practiceView(store, '', 'lovage')!.effect!.mishaps
    return practised.of + not.of
  }
  const real = realFittings()
  finishJob(store, jobId, { cut: null, wraps: 3, gauge: null })
  expect(store.rows.select().from(cuts).all()).toHaveLength(before)
  expect(on()).toMatchObject({ moved: true })
  expect(yearsOn(stringLives(store).get(on().id)!, store.now())).toBeCloseTo(aged, 2)
  // Just fitted, it is no string to practise on, and its fitting is no real one.
  expect(oldStringOn(store, lovage).map(({ number }) => number)).not.toContain(old!.number)
  expect(realFittings()).toBe(real)
})
