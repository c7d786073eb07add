'use client'

import dynamic from 'next/dynamic'

/** Fetched once the page stands: nobody presses a key before there is something to see. */
export const KeysAnywhere = dynamic(() => import('./KeyList').then((module) => module.KeyList), {
  ssr: false,
})
