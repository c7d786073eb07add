/**
 * Clues in words: what was said, what the chart has at a position, and how to look for the next one.
 */
import { gaugeOf, restPitch, type Instrument, type StringPosition } from '../instrument/instrument'
import { measure, say, type Phrase } from '../measure'
import { scientificWord } from '../pitch/note'
import { materialWord } from '../strings/construction'
import type { Clue, SeenColour, Side } from './clue'
import { dyeOf, lengthOn, neighbourOf, WORN_THINNER } from './likelihood'
import { materialClass } from './material-class'
import type { NextClue } from './next-clue'

const COLOUR_WORDS: Record<SeenColour, string> = { red: 'red', dark: 'black or blue', natural: 'undyed' }
const SIDE_WORDS: Record<Side, string> = {
  shorter: 'the next shorter string',
  longer: 'the next longer string',
}
const COUNTS = ['', 'one', 'two', 'three', 'four', 'five', 'six']

/** A clue as the person gave it: `two below a black or blue one`. */
export function clueWords(clue: Clue): Phrase {
  switch (clue.kind) {
    case 'counted':
      return say`number ${String(clue.number)} from the ${clue.from}`
    case 'colour':
      return say`${COLOUR_WORDS[clue.seen]}`
    case 'coloured neighbour':
      return say`${COUNTS[Math.abs(clue.away)] ?? String(Math.abs(clue.away))} ${clue.away > 0 ? 'below' : 'above'} a ${COLOUR_WORDS[clue.seen]} one`
    case 'beside colour':
      return say`next to a ${COLOUR_WORDS[clue.seen]} one`
    case 'colour counted':
      return say`number ${String(clue.nth)} of the ${COLOUR_WORDS[clue.seen]} ones from the ${clue.from}`
    case 'gauge':
      return say`measures ${measure('gauge', clue.measured)}${clue.worn ? ', worn' : ', hardly used'}`
    case 'thickness':
      return say`${clue.seen} among its fellows`
    case 'pieces':
      return say`pieces of ${measure('length', clue.length)} in all`
    case 'look':
      return say`looks ${clue.seen === 'grain' ? 'of twisted fibre' : clue.seen}`
    case 'bend':
      return say`${clue.seen} when bent`
    case 'nail':
      return say`${clue.seen} under the nail`
    case 'cold':
      return say`${clue.seen ? 'cold' : 'not cold'} to the lip`
    case 'neighbour’s pitch':
      return say`${SIDE_WORDS[clue.side]} sounds ${measure('frequency', clue.pitch)}`
    case 'neighbour’s material':
      return clue.seen === 'none'
        ? say`there is no ${clue.side} string`
        : say`${SIDE_WORDS[clue.side]} is ${clue.seen}`
  }
}

/** What the chart has at a position where a clue bears on it. */
export function chartedWords(clue: Clue, position: StringPosition, instrument: Instrument): Phrase {
  switch (clue.kind) {
    case 'counted':
      return say`it is number ${String(clue.from === 'top' ? position.number : instrument.positions.length + 1 - position.number)} from the ${clue.from}`
    case 'colour':
      return say`it is ${COLOUR_WORDS[dyeOf(position.colour)]}`
    case 'coloured neighbour':
      return nearestColoured(clue.away > 0 ? 1 : -1, position, instrument)
    case 'beside colour':
      return besideWords(position, instrument)
    case 'colour counted':
      return say`it is ${COLOUR_WORDS[dyeOf(position.colour)]}`
    case 'gauge':
      return wornGauge(clue.worn, position)
    case 'thickness':
      return say`it is ${measure('gauge', gaugeOf(position))}`
    case 'pieces':
      return say`from tag to stub it is about ${measure('length', lengthOn(position))}`
    case 'look':
    case 'bend':
    case 'nail':
    case 'cold':
      return say`it is ${materialWord(position.construction)}`
    case 'neighbour’s pitch': {
      const neighbour = neighbourOf(instrument, position, clue.side)
      return neighbour
        ? say`${SIDE_WORDS[clue.side]} sounds ${scientificWord(neighbour.note)}, ${measure('frequency', restPitch(instrument, neighbour))}`
        : say`there is no ${clue.side} string`
    }
    case 'neighbour’s material': {
      const neighbour = neighbourOf(instrument, position, clue.side)
      return neighbour
        ? say`${SIDE_WORDS[clue.side]} is ${materialWord(neighbour.construction)}`
        : say`there is no ${clue.side} string`
    }
  }
}

function nearestColoured(sign: 1 | -1, { number }: StringPosition, { positions }: Instrument): Phrase {
  const way = sign > 0 ? 'below' : 'above'
  for (let away = 1; away < positions.length; away += 1) {
    const there = positions[number - 1 - sign * away]
    if (!there) break
    if (there.colour !== 'natural')
      return say`it is ${COUNTS[away] ?? String(away)} ${way} a ${COLOUR_WORDS[dyeOf(there.colour)]} one`
  }
  return say`no coloured string lies ${sign > 0 ? 'above' : 'below'} it`
}

function wornGauge(worn: boolean, position: StringPosition): Phrase {
  const charted = gaugeOf(position)
  return worn && !['wire', 'wound'].includes(materialClass(position.construction))
    ? say`charted ${measure('gauge', charted)}, worn ${measure('gauge', charted * (1 - WORN_THINNER.most))} to ${measure('gauge', charted * (1 - WORN_THINNER.least))}`
    : say`charted ${measure('gauge', charted)}`
}

/** How to come by a clue, in one or two sentences. */
export function howToFind({ kind, side }: Pick<NextClue, 'kind' | 'side'>): {
  readonly title: string
  readonly how: string
} {
  const there = side ? SIDE_WORDS[side] : ''
  switch (kind) {
    case 'counted':
      return {
        title: 'Count to the gap',
        how: 'Count the places from the nearer end, the empty one included, and touch each string as you go.',
      }
    case 'colour':
      return { title: 'Its colour', how: 'Look at a piece from near the pin, where dye wears least.' }
    case 'coloured neighbour':
      return {
        title: 'The nearest coloured string',
        how: 'Find the nearest red or dark string beside the gap, and count the steps from it.',
      }
    case 'gauge':
      return {
        title: 'Measure the old string',
        how: 'Close the calliper gently on a straight piece, in three places, away from the wraps and the knot.',
      }
    case 'thickness':
      return {
        title: 'Thin or thick',
        how: 'Hold a piece against the strings at both ends of the instrument.',
      }
    case 'pieces':
      return {
        title: 'Length of the pieces',
        how: 'Lay all the pieces along a rule, wraps drawn straight, and add them up.',
      }
    case 'look':
      return {
        title: 'Look at it',
        how: 'Hold it against the light, best a piece from up at the pin, where no dye hides the grain.',
      }
    case 'bend':
      return { title: 'Bend it', how: 'Fold a waste end sharply and let go.' }
    case 'nail':
      return { title: 'Draw a nail along it', how: 'Slowly, along a clean stretch.' }
    case 'cold':
      return { title: 'Is it cold?', how: 'Touch it to your lip; metal takes the warmth at once.' }
    case 'neighbour’s pitch':
      return {
        title: `The sound of ${there}`,
        how: `Pluck ${there}, with everything disengaged, and read the tuner or name the note.`,
      }
    case 'neighbour’s material':
      return { title: `What ${there} is made of`, how: `Look at ${there} against the wood, up at its pin.` }
  }
}

/** The colours of its two neighbours. */
function besideWords(position: StringPosition, instrument: Instrument): Phrase {
  const colours = (['shorter', 'longer'] as const).flatMap((side) => {
    const there = neighbourOf(instrument, position, side)
    return there ? [COLOUR_WORDS[dyeOf(there.colour)]] : []
  })
  return say`beside it: ${colours.join(' and ')}`
}
