import { pictureBytes } from '@/data/pictures/pictures'
import { store } from '@/data/store/database'

/** The bytes of a picture. They are named for what they are, so that a browser may keep them for ever. */
export async function GET(_request: Request, { params }: { readonly params: Promise<{ hash: string }> }) {
  const jpeg = pictureBytes(store(), (await params).hash)
  return jpeg
    ? new Response(new Uint8Array(jpeg), {
        headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
      })
    : new Response('There is no such picture.', { status: 404 })
}
