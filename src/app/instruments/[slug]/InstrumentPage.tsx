'use client'

import type { ComponentProps } from 'react'
import { leadingNames } from '@/core/instrument/names'
import { SiteChooser } from '@/features/breaks/SiteChooser'
import { InstrumentDesk } from '@/features/instruments/InstrumentDesk'

/** The desk, with the question where a string gave way put into its plate. */
export function InstrumentPage(desk: Omit<ComponentProps<typeof InstrumentDesk>, 'askSite'>) {
  return (
    <InstrumentDesk
      {...desk}
      askSite={(position, onCancel) => (
        <SiteChooser key={position.number} slug={desk.view.instrument.slug} position={position} name={leadingNames(position).name} onCancel={onCancel} />
      )}
    />
  )
}
