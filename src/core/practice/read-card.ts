/**
 * A card’s id taken apart, whoever sends it.
 */
import { fasteningNamed, HEAD_FASTENINGS, TAIL_NAMES } from '../knots/fastenings'
import { INTERVALS } from '../rounds/by-ear'
import { DRILLS, type Drill } from './drill'
import { FAULTS } from './faults'
import { MATERIAL_WORDS } from './material-question'
import { TIE_PARTS } from './tie-question'

export interface ReadCard {
  readonly drill: Drill
  /** The instrument that it is about; null where it is about what several have in common. */
  readonly slug: string | null
  readonly about: readonly string[]
}

const FASTENINGS: readonly string[] = [...TAIL_NAMES, ...HEAD_FASTENINGS]

/** Null where nothing is called so. */
export function readCard(id: string): ReadCard | null {
  const [drillWord, first = '', second = '', ...more] = id.split(':')
  const drill = DRILLS.find((one) => one === drillWord)
  if (!drill || first === '' || more.length > 0) return null
  const about = [first, second]
  switch (drill) {
    case 'which':
    case 'name':
    case 'slack':
      return second === '' ? null : { drill, slug: first, about }
    case 'raise':
      return second === '' ? { drill, slug: first, about } : null
    case 'material':
      return Object.hasOwn(MATERIAL_WORDS, first) ? { drill, slug: null, about } : null
    case 'tie':
      return FASTENINGS.includes(first) && (TIE_PARTS as readonly string[]).includes(second)
        ? { drill, slug: null, about: [fasteningNamed(first), second] }
        : null
    case 'hear':
      return (INTERVALS as readonly string[]).includes(first) ? { drill, slug: null, about } : null
    case 'wrong':
      return (FAULTS as readonly string[]).includes(first) ? { drill, slug: null, about } : null
  }
}
