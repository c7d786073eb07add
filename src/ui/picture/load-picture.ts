/** A picture as it is shown and kept: upright, and no larger than a telephone’s. */
export interface Picture {
  /** Of the copy below. */
  readonly url: string
  /** A JPEG that holds the picture alone: no place, no camera, no time. */
  readonly jpeg: Blob
  readonly width: number
  readonly height: number
}

/** More is no picture of an instrument. */
const MOST_BYTES = 40_000_000

/**
 * Draws a picture anew in the browser, turned upright.
 *
 * @param longest - of its longer side, pixels
 * @throws RangeError with a sentence that can be shown, when it is no picture or too large
 */
export async function loadPicture(file: File, longest: number): Promise<Picture> {
  if (file.size > MOST_BYTES)
    throw new RangeError('That picture is larger than 40 MB. Take it in a lower quality.')
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null)
  if (!bitmap || bitmap.width < 100 || bitmap.height < 100)
    throw new RangeError('That is no picture that the browser can show. Take a JPEG or PNG.')
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(bitmap.width * scale)
  canvas.height = Math.round(bitmap.height * scale)
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  const jpeg = await new Promise<Blob | null>((resolve) => {
    canvas.toBlob(resolve, 'image/jpeg', 0.9)
  })
  if (!jpeg) throw new RangeError('The browser could not draw that picture.')
  return { url: URL.createObjectURL(jpeg), jpeg, width: canvas.width, height: canvas.height }
}
