/** Every handler and every page that there is, found by walking the folders they lie in; handlers with the class of their body. */
import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'

export const METHODS = ['GET', 'POST', 'PATCH', 'PUT', 'DELETE'] as const
export type Method = (typeof METHODS)[number]

export interface Handler {
  readonly method: Method
  /** `/api/jobs/[id]/coil` */
  readonly address: string
  /** The name of its body’s class; null where it takes none. */
  readonly shape: string | null
}

const ROOT = 'src/app'

export function allHandlers(): readonly Handler[] {
  return readdirSync(path.join(ROOT, 'api'), { recursive: true, encoding: 'utf8' })
    .filter((file) => path.basename(file) === 'route.ts')
    .sort()
    .flatMap((file) => {
      const source = readFileSync(path.join(ROOT, 'api', file), 'utf8')
      const address = `/api/${path.dirname(file)}`
      return METHODS.flatMap((method): Handler[] => {
        const at = source.search(
          new RegExp(`export (async )?function ${method}\\b|export const ${method}\\b`),
        )
        if (at < 0) return []
        return [
          { method, address, shape: /\b([A-Z]\w*Request|Nothing)\b/.exec(bodyOf(source, at))?.[1] ?? null },
        ]
      })
    })
}

/** Pages are only asked for. */
export function allPages(): readonly Handler[] {
  return readdirSync(ROOT, { recursive: true, encoding: 'utf8' })
    .filter((file) => path.basename(file) === 'page.tsx')
    .sort()
    .map((file) => ({ method: 'GET', address: path.join('/', path.dirname(file)), shape: null }))
}

/** From where a handler begins to where the next one does. */
function bodyOf(source: string, from: number): string {
  const next = source.indexOf('\nexport ', from + 1)
  return source.slice(from, next < 0 ? undefined : next).replace(/request: Request/g, '')
}
