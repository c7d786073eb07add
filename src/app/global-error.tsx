'use client'

/** Where even the frame of a page fails: plain, for nothing of the program can be counted on here. */
export default function GlobalError({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en-GB">
      <body>
        <h1>This page could not be drawn</h1>
        <p>What was logged before is safe. Try once more; if it fails again, start the program anew.</p>
        <button type="button" onClick={reset}>
          Try once more
        </button>
      </body>
    </html>
  )
}
