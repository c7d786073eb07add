import type { MetadataRoute } from 'next'

/** What a phone is told when it puts Taut Pinset among its own apps; nothing of the house is in it. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Taut Pinset',
    short_name: 'Taut Pinset',
    description: 'Which string it is, what to cut, how to fit it, when it will hold.',
    id: '/',
    start_url: '/',
    display: 'standalone',
    lang: 'en-GB',
    background_color: '#fbf8f0',
    theme_color: '#fbf8f0',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
    shortcuts: [
      { name: 'Today', url: '/' },
      { name: 'A string broke', url: '/broke' },
      { name: 'Which string is it?', url: '/instruments' },
    ],
  }
}
