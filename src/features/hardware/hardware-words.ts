/**
 * How each piece of hardware is measured or looked at, in the words of whoever holds the rule.
 */
import type { HardwareColumn } from '@/core/hardware/columns'

export const HOW: Record<HardwareColumn, string> = {
  tail: 'What holds the string at its lower end. How each is tied is under Knots.',
  bearing:
    'A saddle, a bridge with notches, or a plain bridge, on which the spacing is set by eye. Leave it empty where it passes over nothing.',
  board: 'Where the strings go through, with its strips and the bush. Enter 0 where they go through no wood.',
  eyelet: 'Across the hole that the knot rests on. A drill that just slips in is the best gauge.',
  post: 'Across the hitch pin or post that the string goes round. Leave it empty where there is none.',
  mechanism: 'A lever or a disc that shortens the string. Leave it empty where there is none.',
  head: 'How the string is locked on its pin. Thin strings are locked by the house’s habit, whatever stands here.',
  setting: 'Through the neck, its key on the far side; upright in the wood; or across a scroll.',
  turned: 'The key, a knob or lever of its own, or the hand on a peg.',
  tightens: 'Seen from the end that the key goes on.',
  gear: 'Turns of the key for one turn of the pin: 1 for a plain pin.',
  diameter: 'With a calliper, where the string winds.',
  thread:
    'From one thread to the next: lay the rule along ten of them. Leave it empty for a plain tapered pin.',
  height: 'From the wood, with the string at pitch.',
  datum: 'What the pin’s height is measured to: its top, or its string hole.',
  holeToEnd: 'From the middle of the string hole to the end of the pin.',
  bridgeHeight: 'From the same wood to the groove of the bridge pin, or to the nut.',
  toBridge: 'Along the string, from the middle of the tuning pin to that groove.',
}
