/** What is cautioned against, in the words it is said in. */
export const CAUTIONS = {
  fall: 'Place the instrument so that it can’t fall.',
  eyes: 'Wire whips when it lets go and its ends fly: wear eye protection from here on.',
  thumb: 'Keep hold of key or peg, and a thumb over the string, until it is slack.',
  'off-cut': 'Hold the off-cut of a wire, so that it can’t fly.',
  stop: 'A cracked neck, board or pin block, a rising seam, a pin that won’t hold, a mechanism out of regulation: stop, and ask the maker or a qualified repairer.',
  class:
    'This string is of another tension class than the chart: ask the maker or a qualified repairer before it goes on.',
  glue: 'Cyanoacrylate: air the room, and keep it off skin and eyes.',
  gloves: 'Silk and wire cut under such a pull: wear gloves, or wind a cloth round your hand.',
  cutter: 'Keep the cutter away from the soundboard and the other strings.',
  key: 'Never let go of key or knob on a pin under tension, and keep sleeves and hair clear of a turning pin.',
  breaking: 'This string stands close to its breaking pitch: keep your face away from its line.',
} as const
export type Caution = keyof typeof CAUTIONS
