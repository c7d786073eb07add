import { Pictures, type ShownPicture } from '@/ui/picture/Pictures'
import { TakePicture } from '@/ui/picture/TakePicture'

interface PicturesSectionProps {
  readonly slug: string
  readonly name: string
  readonly pictures: readonly ShownPicture[]
}

/** The pictures that are kept with an instrument. */
export function PicturesSection({ slug, name, pictures }: PicturesSectionProps) {
  return (
    <section className="sheet mt-4 max-w-4xl p-5" aria-labelledby="pictures">
      <h2 id="pictures" className="text-xl font-semibold">
        Pictures
      </h2>
      <p className="mb-3 max-w-prose text-soft">
        {pictures.length === 0
          ? `Of ${name}, of old knots, of windings. None is kept yet.`
          : 'They are kept without the place and the camera.'}
      </p>
      <Pictures pictures={pictures} />
      <div className="mt-4">
        <TakePicture instrument={slug} string={null} job={null} kind="the instrument">
          Take a picture
        </TakePicture>
      </div>
    </section>
  )
}
