/** More readings than these nobody looks through: who means a string further on says its instrument. */
export const MAX_READINGS = 40
