'use client'

import { Download } from 'lucide-react'
import { files } from '@/boundary/paths'
import { TakeArchive } from './TakeArchive'

/** Everything the house keeps, to take away and to take in. */
export function ArchiveSheet() {
  return (
    <div className="grid max-w-5xl items-start gap-4 md:grid-cols-2">
      <section className="sheet p-5" aria-labelledby="away">
        <h1 id="away" className="text-2xl font-semibold">
          Take everything away
        </h1>
        <p className="mt-1">
          One zip of open files: each instrument by itself, every table for a spreadsheet, with units over its
          columns, the history, and a page that says how to read them.
        </p>
        <p className="mt-1 text-soft">Keep one on another machine: it is your workshop’s memory.</p>
        <p className="mt-4 flex flex-wrap gap-2">
          <a className="button button-main" href={files.archive} download>
            <Download size={16} aria-hidden /> Archive
          </a>
          <a className="button" href={files.archiveWithoutPictures} download>
            Without pictures
          </a>
        </p>
      </section>
      <section className="sheet p-5" aria-labelledby="in">
        <h2 id="in" className="text-2xl font-semibold">
          Take an archive in
        </h2>
        <p className="mt-1">
          First you see what it will do. One of this house brings back what is missing and what has changed
          since; nothing is taken away. Of another house its instruments come, with their notes and pictures.
        </p>
        <TakeArchive />
      </section>
    </div>
  )
}
