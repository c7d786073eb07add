/** An anchor as it is cut from old thick gut or a dowel, m. */
export const ANCHOR_LENGTH = 0.025
