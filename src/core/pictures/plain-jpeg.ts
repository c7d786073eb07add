/**
 * A JPEG as a picture alone: what cameras write beside it (the place, the time, the camera, a smaller copy) is left out.
 */

export interface PlainJpeg {
  readonly bytes: Uint8Array
  /** Pixels. */
  readonly width: number
  readonly height: number
}

const START = 0xd8
const SCAN = 0xda
/** Of the application segments, the first says how dense the dots are, the fifteenth how colours are kept. */
const KEPT_APPS: ReadonlySet<number> = new Set([0xe0, 0xee])
const COMMENT = 0xfe

/**
 * @param jpeg - a whole file
 * @throws RangeError with a sentence, when it is no JPEG that can be followed to its picture
 */
export function plainJpeg(jpeg: Uint8Array): PlainJpeg {
  const refuse = () => new RangeError('That is no JPEG picture.')
  if (jpeg[0] !== 0xff || jpeg[1] !== START) throw refuse()
  const kept: Uint8Array[] = [jpeg.subarray(0, 2)]
  let size: { readonly width: number; readonly height: number } | null = null
  for (let at = 2; ;) {
    const marker = jpeg[at + 1]
    if (jpeg[at] !== 0xff || marker === undefined) throw refuse()
    const end = at + 2 + word(jpeg, at + 2)
    if (end < at + 4 || end > jpeg.length) throw refuse()
    if (isFrame(marker)) size = { height: word(jpeg, at + 5), width: word(jpeg, at + 7) }
    if (marker === SCAN) {
      if (!size || size.width === 0 || size.height === 0) throw refuse()
      kept.push(jpeg.subarray(at))
      return { bytes: joined(kept), ...size }
    }
    const isApp = marker >= 0xe0 && marker <= 0xef
    if (marker !== COMMENT && (!isApp || KEPT_APPS.has(marker))) kept.push(jpeg.subarray(at, end))
    at = end
  }
}

/** Start of a frame, of any process; the three others of that row are tables. */
function isFrame(marker: number): boolean {
  return marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)
}

function word(bytes: Uint8Array, at: number): number {
  return ((bytes[at] ?? 0) << 8) | (bytes[at + 1] ?? 0)
}

function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(pieces.reduce((sum, piece) => sum + piece.length, 0))
  let at = 0
  for (const piece of pieces) {
    all.set(piece, at)
    at += piece.length
  }
  return all
}
