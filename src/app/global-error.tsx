'use client'

import ErrorPage from './error'

/** Where even the frame of a page fails: without its looks, which came with the frame. */
export default function GlobalError(props: { error: Error; reset: () => void }) {
  return (
    <html lang="en-GB">
      <body>
        <ErrorPage {...props} />
      </body>
    </html>
  )
}
