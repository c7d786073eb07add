/**
 * The working behind the figures of a string at rest and of a fitting: formula, inputs, and where each comes from.
 */
import type { Instrument, StringPosition } from '../instrument/instrument'
import { restPitch } from '../instrument/instrument'
import { measure } from '../measure'
import { coreArea, coreMaterial, massPerLength, type Construction } from '../strings/construction'
import { strainAt } from '../strings/stretch'
import {
  breakingPitch,
  semitonesToBreaking,
  stress,
  tension,
  utilisation,
  workingStrength,
} from '../strings/tension'
import { input, type Working, type WorkingInput } from '../working'
import type { StringFigures } from './figures'
import type { Habits } from './habits'

const ESTIMATE = 'An estimate from the lengths and values entered; the maker’s string chart comes first.'

function lengthAndPitch(instrument: Instrument, position: StringPosition): WorkingInput[] {
  return [
    input('L', 'speaking length', measure('length', position.speakingLength), 'chart'),
    input('f', 'frequency at rest', measure('frequency', restPitch(instrument, position)), 'reference pitch'),
  ]
}

/** T = 4 μ L² f². */
export function tensionWorking(
  instrument: Instrument,
  position: StringPosition,
  construction = position.construction,
): Working {
  return {
    label: 'Tension',
    formula: 'T = 4 μ L² f²',
    inputs: [
      input('μ', 'mass per length', measure('line density', massPerLength(construction)), 'worked out'),
      ...lengthAndPitch(instrument, position),
    ],
    result: measure('force', tension(construction, position.speakingLength, restPitch(instrument, position))),
    caveat: ESTIMATE,
  }
}

/** u = σ / S and 6 · log2(1/u). */
export function marginWorking(
  instrument: Instrument,
  position: StringPosition,
  construction = position.construction,
): Working {
  const pitch = restPitch(instrument, position)
  const u = utilisation(construction, position.speakingLength, pitch)
  const material = coreMaterial(construction)
  return {
    label: 'Semitones to breaking',
    formula: 'σ = T / A,  u = σ / S,  6 · log₂(1 / u)',
    inputs: [
      input(
        'A',
        'area that carries the tension, as a diameter',
        measure('gauge', Math.sqrt((4 * coreArea(construction)) / Math.PI)),
        'chart',
      ),
      input(
        'σ',
        'stress',
        measure('stress', stress(construction, position.speakingLength, pitch)),
        'worked out',
      ),
      input(
        'S',
        `working strength of ${material.name}`,
        measure('stress', workingStrength(construction)),
        'material table',
        material.strengthIsFirm,
      ),
      input('u', 'share of its strength', measure('share', u), 'worked out'),
      input(
        'f',
        'it would break at',
        measure('frequency', breakingPitch(construction, position.speakingLength)),
        'worked out',
        material.strengthIsFirm,
      ),
    ],
    result: measure('semitones', semitonesToBreaking(u)),
    caveat: ESTIMATE,
  }
}

/** ΔL / (π (D + d)), as an angle of the key. */
export function snugToPitchWorking(figures: StringFigures, construction: Construction): Working {
  const material = coreMaterial(construction)
  return {
    label: 'Key from snug to pitch',
    formula: `${material.stiffening === 0 ? 'ΔL = L₀ · σ / E' : 'ΔL = L₀ · ln(1 + kσ / E) / k'},  360°${figures.position.head.pin.gearRatio === 1 ? '' : ' · g'} · ΔL / (π (D + d))`,
    inputs: [
      input('L₀', 'free length', measure('length', figures.position.freeLength), 'chart'),
      input('E', `modulus of ${material.name}`, measure('stress', material.modulus), 'material table', false),
      ...(material.stiffening === 0
        ? []
        : [
            input(
              'k',
              'stiffening under load',
              measure('number', material.stiffening),
              'material table',
              false,
            ),
          ]),
      input(
        'ε',
        'strain at pitch',
        measure(
          'share',
          strainAt(figures.tension / coreArea(construction), material.modulus, material.stiffening),
        ),
        'worked out',
        false,
      ),
      input('ΔL', 'stretch to pitch', measure('length', figures.stretch), 'worked out', false),
      ...pinInputs(figures),
    ],
    result: measure('angle', figures.key.snugToPitch),
    caveat: 'Moduli differ from batch to batch; watch the pitch, not the angle.',
  }
}

/** slack = N · π (D + d) − ΔL. */
export function slackWorking(figures: StringFigures, habits: Habits): Working {
  return {
    label: 'Slack',
    formula: 'slack = N · π (D + d) − ΔL',
    inputs: [
      input('N', 'wraps wanted at pitch', measure('wraps', habits.wraps), 'house habit'),
      ...pinInputs(figures),
      input('ΔL', 'stretch to pitch', measure('length', figures.stretch), 'worked out', false),
    ],
    result: measure('length', figures.slack.length),
    caveat: figures.slack.stretchAloneIsMore
      ? 'The stretch alone winds on more than that; leave no slack.'
      : null,
  }
}

/** T · e^(−μ 2π N), as a share. */
export function holdWorking(figures: StringFigures, friction: number): Working {
  return {
    label: 'Pull left at the string hole',
    formula: 'e^(−μ · 2π N)',
    inputs: [
      input('μ', 'friction on the pin', measure('number', friction), 'material table', false),
      input('N', 'wraps at pitch', measure('wraps', figures.wraps), 'worked out'),
    ],
    result: measure('share', figures.pullLeftAtHole),
    caveat: 'Two to four wraps hold; a thin, slippery string is locked as well.',
  }
}

function pinInputs({ position, gauge }: StringFigures): WorkingInput[] {
  const { pin } = position.head
  return [
    input('D', 'pin diameter', measure('width', pin.diameter), 'pin record'),
    input('d', 'gauge', measure('gauge', gauge), 'coil'),
    ...(pin.gearRatio === 1
      ? []
      : [input('g', 'gear ratio', measure('number', pin.gearRatio), 'pin record')]),
  ]
}
