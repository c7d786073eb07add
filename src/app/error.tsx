'use client'

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <div className="sheet p-6" role="alert">
      <h1 className="text-2xl font-semibold">This page could not be drawn</h1>
      <p className="mt-1">
        What was logged before is safe. Try once more; if it fails again, start the program anew.
      </p>
      <button type="button" className="button button-main mt-4" onClick={reset}>
        Try once more
      </button>
    </div>
  )
}
