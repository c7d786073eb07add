import Link from 'next/link'
import { pages } from '@/boundary/paths'

export default function NotFound() {
  return (
    <div className="sheet p-6">
      <h1 className="text-2xl font-semibold">There is nothing here</h1>
      <p className="mt-1">This address names no instrument, job or place of the workshop.</p>
      <p className="mt-4 flex gap-2">
        <Link href={pages.today} className="button button-main">
          To Today
        </Link>
        <Link href={pages.instruments} className="button">
          To the instruments
        </Link>
      </p>
    </div>
  )
}
