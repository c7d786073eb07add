/**
 * The questions on which practitioners differ, as a person is asked them: what each way means, and what it changes.
 */
import type { HabitKey, Habits } from './habits'

export interface Method<K extends HabitKey = HabitKey> {
  readonly key: K
  readonly question: string
  /** What the choice changes in figures and steps, one sentence. */
  readonly changes: string
  /** What each way is, one sentence each. */
  readonly ways: Readonly<Record<Habits[K], string>>
}

export type MethodGroup =
  | 'On the pin'
  | 'Thin strings and locks'
  | 'At the knot'
  | 'Cutting and after'
  | 'Whole instruments'
  | 'Names and hands'

const school = <K extends HabitKey>(
  key: K,
  question: string,
  changes: string,
  ways: Method<K>['ways'],
): Method => ({ key, question, changes, ways }) as unknown as Method

/** Every question, in the order a house meets them. */
export const METHODS: Readonly<Record<MethodGroup, readonly Method[]>> = {
  'On the pin': [
    school('wrapsBy', 'How many wraps', 'Changes slack, cut, key and the drawing of the pin.', {
      'a number of wraps': 'The number set here on every string: two to three, or three to four.',
      'in line with the bridge pin':
        'As many as bring each string straight to its bridge pin, never fewer than two and no more than fit. Where a nut sets the line, the number counts.',
    }),
    school(
      'slackBy',
      'How slack is judged',
      'The way you judge by is told first; the others stand beside it.',
      {
        'length past the pin': 'A length is measured past the pin; the house has one of its own.',
        pins: 'The string is pinched at its pin, and the pinch reaches so many pins along the neck.',
        'sideways pull': 'The loose string is pulled aside at mid-length by so many strings.',
      },
    ),
    school(
      'slackInterval',
      'The rule of thumb for pins',
      'Each job says what your rule gives on its string, and what to do where it does not serve.',
      {
        'a fifth': 'Four pins along.',
        'half an octave': 'Three and a half pins along.',
        'an octave': 'Seven pins along.',
      },
    ),
    school(
      'slackToward',
      'Which way pins are counted',
      'The other way is told where this end is nearer than an octave.',
      {
        'toward the bass': 'From the string’s own pin toward the bass.',
        'toward the treble': 'From its own pin toward the treble.',
      },
    ),
    school('spacing', 'How pins are counted', 'On a steep neck the one is more than twice the other.', {
      'along the neck': 'From pin to pin along the neck.',
      'square across': 'Square across the strings.',
    }),
    school(
      'windToward',
      'Which way the wraps run',
      'Changes where the string leaves the pin, the room it takes, and what the wraps draw.',
      {
        'the wood': 'Side by side from the hole toward the wood; on an upright pin, downward.',
        'the wood, then outward over it':
          'The first half toward the wood, the rest crossing outward over them.',
        'above, below, above the hole': 'One outside the hole, one inside it, the rest outside.',
        'under the hole':
          'Upright pins: downward, under the hole. Pins through a neck are wound toward the wood.',
      },
    ),
    school('becket', 'When the becket is set', 'Changes the step at the pin.', {
      'before turning': 'The kink is set before the first turn.',
      'after half a turn': 'The pin goes half round first.',
    }),
  ],
  'Thin strings and locks': [
    school('lock', 'How thin strings are locked', 'Changes the winding step of thin strings.', {
      'as charted': 'The way the chart names; where it names none, a thin string is tucked at half a turn.',
      none: 'Wraps alone hold it.',
      'tail tucked, before turning': 'The tail lies under the first wrap from the start.',
      'tail tucked, after a quarter': 'The tail is tucked under after a quarter turn.',
      'tail tucked, after half a turn': 'The tail is tucked under after half a turn.',
      'hitched round the string': 'The tail is led round the standing string, and the first wrap traps it.',
      'second wrap crossed': 'The second wrap crosses the first and pinches it.',
      'kinked both sides': 'An S through the pin, snipped before winding: no lock, and it comes off fast.',
    }),
    school(
      'thin',
      'Which strings are thin',
      'Decides together which strings get an anchor, a third loop and a lock. Wires are never thin; a knot too narrow for its eyelet gets an anchor all the same.',
      {
        'from the D above middle C': 'From the D above middle C up.',
        'all but the lowest gut': 'All but the lowest octave of gut, and wound strings.',
        'below a gauge': 'Those below the gauge set here.',
        'by knot against eyelet':
          'Those whose knot is not clearly wider than their eyelet, or rest on bead or toggle.',
      },
    ),
    school('pairedWire', 'One wire that is two strings', 'Changes the steps of paired wires.', {
      'first pin wound, then round the posts':
        'Wound on its first pin, led round the posts, the second wound after.',
      'cut to length, its middle at the posts':
        'Cut to the length worked out, and laid round the posts by its middle.',
    }),
  ],
  'At the knot': [
    school(
      'knot',
      'Which knot is tied',
      'Changes the knot step, whether an anchor is needed, and what is cut for the knot. Strings on beads, toggles, hitch pins and feet keep their own.',
      {
        'as charted': 'The knot that the chart names for each string.',
        'two-loop, open bight': 'A plain U, and a half hitch of the standing part round it.',
        'two-loop, crossed': 'Both loops crossed, the standing part in front: wider.',
        'two-loop, crossed, behind': 'The same with both crossings behind.',
        'third loop': 'One more hitch, for the very thin or slippery.',
        'slip loop': 'A second loop put through the first from behind.',
        'half knot and anchor': 'A half knot left open for the anchor, and a hitch over it.',
        'twisted loop': 'A loop given half a turn, with a dowel in it.',
      },
    ),
    school('anchor', 'What an anchor is made of', 'Changes what is laid out, and the step at the knot.', {
      'old gut': 'A short cut of old thick gut.',
      dowel: 'A short piece of hardwood dowel.',
      cotton: 'A short roll of cotton.',
      'bead and glue': 'A bead, and on nylon a touch of glue.',
      toggle: 'A toggle across the hole.',
    }),
    school('anchorPlace', 'Where the anchor sits', 'Changes the picture and the words at the knot.', {
      'in front of the bight': 'Between the bight and the string.',
      'behind the bight': 'Tucked behind the bight.',
    }),
    school('knotSet', 'How the knot is set', 'Changes the step at the board.', {
      'hard pull at once': 'One hard pull by hand, before winding.',
      'drawn up by tuning': 'Drawn up until it touches; tuning sets it.',
    }),
    school('threading', 'How it is threaded', 'Changes the order of the steps.', {
      'from inside, knot first': 'Tied first, then fed up from inside.',
      'from the front, knot after': 'Fed down from the front, then tied.',
    }),
  ],
  'Cutting and after': [
    school('cutting', 'When it is cut', 'Changes the steps at the pin and the trimming.', {
      'on the instrument, then wind':
        'Marked at its pin, slack and hole alone, cut there, and wound with its end flush in the hole.',
      'set slack, take out, cut, thread again':
        'Threaded, slack set, taken out, cut away from the instrument, threaded again.',
      'wind, trim later': 'Left long, wound, and trimmed afterward.',
    }),
    school('tailTrim', 'When the tail is trimmed', 'Changes the trimming step.', {
      'at once': 'To a short stub, now.',
      'after hours': 'The same day, parked meanwhile.',
      'after settling': 'In a week or two, parked meanwhile.',
    }),
    school(
      'stretching',
      'Helping it settle',
      'Adds a step once it is at pitch, and less is left to settle; not on wire.',
      {
        'leave it alone': 'It settles by itself.',
        'gentle pulls': 'Drawn gently along its length.',
        'bending aside': 'Bent aside here and there along its length.',
        'rubbing warm': 'Rubbed warm with a cloth.',
        'big sideways motions':
          'From board to far out, as playing would do: for a string that broke at an interval; it costs some of its life.',
      },
    ),
  ],
  'Whole instruments': [
    school('restring', 'Many strings at once', 'Decides the order of a job that holds several strings.', {
      'one for one, alternating ends':
        'One off, one on, from both ends by turns, so that the frame keeps its load.',
      'heaviest first': 'In the order of their tension.',
      'longest first': 'From the bass up.',
    }),
    school('covered', 'A covered string broke', 'Decides what is done with the strings that lie over it.', {
      'by time and retunes': 'Whatever takes least time, retuning counted.',
      'uncover and put back': 'What lies over it comes off, and goes back.',
      'redo that foot': 'New strings for all that come off.',
      'redo all': 'All of them new, since the rest shift.',
    }),
    school('feet', 'How layered feet share the strings', 'Told when a foot is redone.', {
      'by thickness': 'Shared so that both feet are about as thick.',
      'four low and three high': 'Four low strings on one, three high on the other.',
      'three and four when the basses are thick': 'Three low strings on one, four high on the other.',
    }),
    school('gutTop', 'The top of a gut harp', 'Decides the chart proposed for a new pedal harp.', {
      'as charted': 'What the family usually has.',
      nylon: 'Nylon above, gut below.',
      gut: 'Gut through to the top.',
    }),
  ],
  'Names and hands': [
    school('octaveNames', 'Which name leads', 'The others always stand beside it.', {
      'as its players do': 'Harps by octave, 3rd-octave G; zithers and lyres by number or role.',
      'E-to-F octaves': 'By harp octave on every instrument.',
      'its number': 'By its number.',
      'the maker’s': 'The label of the maker’s chart, where it has one.',
    }),
    school(
      'hand',
      'The hand you work with',
      'Mirrors the pictures of hands and knots, and the words with them.',
      {
        right: 'Key in the right hand.',
        left: 'Key in the left hand.',
      },
    ),
  ],
}
