/** A JPEG loses what the camera wrote beside it and nothing else; what is no JPEG is told. */
import fc from 'fast-check'
import { aJpeg } from './a-jpeg'
import { plainJpeg } from './plain-jpeg'

test('the place goes wherever it was written, the picture stays byte for byte', () => {
  const { bytes, width, height } = plainJpeg(aJpeg({ place: '52.1N 5.3E', scan: 'the scan' }))
  expect(bytes).toEqual(aJpeg({ scan: 'the scan' }))
  expect([width, height]).toEqual([16, 12])
  expect(Buffer.from(bytes).includes('52.1N')).toBe(false)
})

test('one that carries nothing beside it is the same, again and again', () => {
  expect(plainJpeg(aJpeg()).bytes).toEqual(aJpeg())
})

test('cut off before its picture, or something else, it is refused with a sentence', () => {
  const whole = aJpeg({ place: 'here' })
  const scanAt = Buffer.from(whole).indexOf(Buffer.from([0xff, 0xda]))
  for (let end = 0; end < scanAt; end += 1)
    expect(() => plainJpeg(whole.subarray(0, end))).toThrow('That is no JPEG picture.')
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
      expect(() => plainJpeg(Uint8Array.from([0xff, 0xd8, ...bytes.filter((b) => b !== 0xda)]))).toThrow(
        'That is no JPEG picture.',
      )
    }),
  )
})
