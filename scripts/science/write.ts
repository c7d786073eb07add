/**
 * Writes the tables of docs/SCIENCE.md anew: `npm run science`. The same figures every time, for the same program.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { readShelf } from '@/data/demo/shelf-files'
import { calibrate } from './identify'
import { calibrateMeasuring } from './measuring'
import { photoTruth } from './photo'
import { learnerReports } from './practice'
import { rebuildings } from './rebuild'
import { restringCosts } from './restring'
import { tuneRounds } from './rounds'
import { foretold } from './settling'
import { BINS, foretoldUnknown } from './unknown-ages'
import { foretoldBreaks, STATED } from './wear'

const FILE = 'docs/SCIENCE.md'

/** The tables by the name that marks their place. */
export function tables(): ReadonlyMap<string, string> {
  const { instruments } = readShelf('demo')
  const { rows, bands } = calibrate(instruments)
  const hundredths = (share: number) => `${(share * 100).toFixed(2)} %`
  const millimetres = (length: number) => `${(length * 1000).toFixed(1)} mm`
  return new Map([
    [
      'ranks',
      table(
        ['instrument', 'broken strings', 'first of the ranking is right', 'among the first three'],
        rows.map((r) => [r.name, r.cases, percent(r.top1), percent(r.top3)]),
      ),
    ],
    [
      'reliability',
      table(
        ['stated', 'cases', 'stated on average', 'right'],
        bands.map((b) => [`${b.from}–${b.to} %`, b.cases, percent(b.stated), percent(b.right)]),
      ),
    ],
    [
      'measuring',
      table(
        [
          'drawn',
          'cuts',
          '± from the preset',
          'true cuts within it',
          'measurements asked for',
          '± after them',
          'true cuts within it',
          'mean error',
        ],
        calibrateMeasuring().map((r) => [
          r.name,
          r.cuts,
          millimetres(r.toldBefore),
          percent(r.withinBefore),
          r.measures.toFixed(1),
          millimetres(r.toldAfter),
          percent(r.withinAfter),
          millimetres(r.meanError),
        ]),
      ),
    ],
    [
      'photo',
      table(
        [
          'instrument',
          'lengths',
          'median',
          '95 % within',
          'worst',
          'worst above 300 mm',
          'worst, short ones from nearer',
          'ruler: median, worst above 300 mm',
          'all strings, median',
          'within ± what is told',
        ],
        photoTruth().map((r) => [
          r.name,
          r.lengths,
          hundredths(r.median),
          hundredths(r.ninetyFive),
          hundredths(r.worst),
          hundredths(r.worstLong),
          hundredths(r.worstNearer),
          `${hundredths(r.ruler)}, ${hundredths(r.worstRuler)}`,
          hundredths(r.all),
          percent(r.within),
        ]),
      ),
    ],
    [
      'settling',
      table(
        ['readings', 'how many', 'within the band of 80 %'],
        foretold().bands.map(({ name, all, inBand }) => [name, all, percent(inBand / all)]),
      ),
    ],
    [
      'slips',
      table(
        ['slips', 'found within two readings', 'other readings taken for one'],
        [
          [
            foretold().slips,
            percent(foretold().found / foretold().slips),
            percent(foretold().falseAlarms / foretold().settled),
          ],
        ],
      ),
    ],
    [
      'wear',
      table(
        ['shelves', 'sets of four strings', ...STATED.map((chance) => `stated ${percent(chance)}`)],
        foretoldBreaks().map(({ name, sets, happened }) => [name, sets, ...happened.map(percent)]),
      ),
    ],
    [
      'unknown-ages',
      table(
        [
          'shelves',
          ...BINS.map(
            (from) =>
              `stated ${Math.round(from * 100)}–${Math.round(from * 100) + 20} %: on average, happened`,
          ),
          'stated for one that happened',
          'taken for new',
        ],
        foretoldUnknown().map(({ name, bins, ratio, ratioAsNew }) => [
          name,
          ...bins.map((bin) => `${percent(bin.stated)}, ${percent(bin.happened)} of ${bin.cases}`),
          ratio.toFixed(2),
          ratioAsNew.toFixed(2),
        ]),
      ),
    ],
    [
      'rounds',
      table(
        [
          'harp',
          'plain',
          'allowed for, found on the way',
          'allowed for, all heard first',
          'board twice as soft',
          'the same, after one session',
        ],
        tuneRounds().map(({ name, plain, foundOnTheWay, heardFirst, soft, learned }) => [
          name,
          ...[plain, foundOnTheWay, heardFirst, soft, learned].map(
            ({ rounds, afterOne }) => `${rounds.toFixed(1)}, ${afterOne.toFixed(1)} cents`,
          ),
        ]),
      ),
    ],
    [
      'restring',
      table(
        [
          'instrument',
          'pieces',
          'goes',
          'planned, min',
          'no less than',
          'one for one',
          'heaviest first',
          'longest first',
        ],
        restringCosts(instruments).map(({ name, pieces, goes, planned, bound, taught }) => [
          name,
          pieces,
          goes,
          ...[planned, bound, ...taught].map((minutes) => minutes.toFixed(1)),
        ]),
      ),
    ],
    [
      'practice',
      table(
        [
          'house, learner',
          'goes in 60 days',
          'questions, the most in a go',
          'things learned, of all',
          'right when asked again',
          'as the schedule expected',
          'days between, early and late',
        ],
        learnerReports().map((r) => [
          `${r.workshop}, ${r.learner}`,
          r.goes,
          `${r.asked}, ${r.most}`,
          `${r.cardsSeen} of ${r.ofCards}`,
          percent(r.rightAgain),
          percent(r.expected),
          r.gaps.join(', '),
        ]),
      ),
    ],
    [
      'rebuilding',
      table(
        [
          'instrument',
          'strings hidden',
          'returned exactly',
          'error of tension of the others, mean',
          'largest',
        ],
        rebuildings(instruments).map((r) => [
          r.name,
          r.hidden,
          percent(r.exact),
          percent(r.meanError),
          percent(r.worstError),
        ]),
      ),
    ],
  ])
}

/** The text with each table put between its marks. */
export function withTables(text: string, made: ReadonlyMap<string, string>): string {
  return [...made].reduce((all, [name, rows]) => {
    const place = new RegExp(`(<!-- ${name} -->\n)[^]*?(<!-- end -->)`)
    if (!place.test(all)) throw new Error(`${FILE}: expected the marks of the table “${name}”.`)
    return all.replace(place, `$1${rows}$2`)
  }, text)
}

function table(head: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  return [head, head.map((_, i) => (i === 0 ? '---' : '---:')), ...rows]
    .map((cells) => `| ${cells.join(' | ')} |\n`)
    .join('')
}

function percent(share: number): string {
  return `${(share * 100).toFixed(1)} %`
}

if (process.argv[1]?.endsWith('write.ts'))
  writeFileSync(FILE, withTables(readFileSync(FILE, 'utf8'), tables()))
