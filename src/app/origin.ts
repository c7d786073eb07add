import { headers } from 'next/headers'

/** Scheme and host by which the page was asked for: where printed codes lead. */
export async function askedOrigin(): Promise<string> {
  const asked = await headers()
  return `${asked.get('x-forwarded-proto') ?? 'http'}://${asked.get('host') ?? 'localhost'}`
}
