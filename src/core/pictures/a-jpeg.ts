/** What it is made with: a place that a camera wrote beside it, and other bytes in its scan. */
interface Parts {
  readonly place?: string
  readonly scan?: string
}

/** For tests: the segments of a JPEG of 16 × 12 pixels, with what a camera writes beside it. It has no picture to decode. */
export function aJpeg({ place, scan }: Parts = {}): Uint8Array {
  return new Uint8Array([
    0xff,
    0xd8,
    ...segment(0xe0, [...text('JFIF\0'), 1, 1, 0, 0, 1, 0, 1, 0, 0]),
    ...(place === undefined ? [] : segment(0xe1, text(`Exif\0\0${place}`))),
    ...segment(0xdb, new Array<number>(65).fill(1)),
    ...segment(0xc0, [8, 0, 12, 0, 16, 1, 1, 0x11, 0]),
    ...(place === undefined ? [] : segment(0xfe, text(place))),
    ...segment(0xda, [1, 1, 0, 0, 63, 0]),
    // The scan, with a byte that looks like a marker as JPEG writes it.
    ...[0x12, 0xff, 0x00, ...text(scan ?? ''), 0xff, 0xd9],
  ])
}

function segment(marker: number, body: readonly number[]): readonly number[] {
  const length = body.length + 2
  return [0xff, marker, length >> 8, length & 0xff, ...body]
}

function text(of: string): readonly number[] {
  return [...Buffer.from(of)]
}
