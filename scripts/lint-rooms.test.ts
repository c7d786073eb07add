/**
 * Deliberate violations of the rooms and of the core's purity: lint must catch each one. They lie in a house of their own
 * with the same rules: whoever looks through src meanwhile must not find them.
 */
import { spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'

const CASES = {
  'src/core/zz-component.ts': "import { Figure } from '@/ui/figure/Figure'\nexport const wrong = Figure\n",
  'src/core/zz-data.ts': "import { store } from '../data/store/database'\nexport const wrong = store\n",
  'src/core/zz-package.ts': "import { useState } from 'react'\nexport const wrong = useState\n",
  'src/core/zz-clock.ts': 'export const wrong = Date.now() + Math.random() + window.innerWidth\n',
  'src/features/today/zz-feature.ts':
    "import { SiteChooser } from '@/features/breaks/SiteChooser'\nexport const wrong = SiteChooser\n",
  'src/ui/zz-feature.ts':
    "import { SiteChooser } from '@/features/breaks/SiteChooser'\nexport const wrong = SiteChooser\n",
  'src/features/today/zz-allowed.ts':
    "import { measure } from '@/core/measure'\nexport const right = measure('length', 1)\n",
} as const

/** What they import. */
const THERE = {
  'src/ui/figure/Figure.tsx': 'export const Figure = 1\n',
  'src/data/store/database.ts': 'export const store = 1\n',
  'src/features/breaks/SiteChooser.tsx': 'export const SiteChooser = 1\n',
  'src/core/measure.ts': 'export const measure = (kind: string, value: number) => `${kind}${value}`\n',
} as const

const found = new Map<string, readonly string[]>()

beforeAll(() => {
  const workshop = mkdtempSync(path.join(os.tmpdir(), 'taut-lint-'))
  try {
    for (const file of ['eslint.config.mjs', 'tsconfig.json', 'package.json'])
      cpSync(file, path.join(workshop, file))
    symlinkSync(path.resolve('node_modules'), path.join(workshop, 'node_modules'))
    for (const [file, text] of Object.entries({ ...THERE, ...CASES })) {
      mkdirSync(path.dirname(path.join(workshop, file)), { recursive: true })
      writeFileSync(path.join(workshop, file), text)
    }
    const { stdout } = spawnSync(
      process.execPath,
      ['node_modules/eslint/bin/eslint.js', '--format', 'json', ...Object.keys(CASES)],
      { encoding: 'utf8', cwd: workshop },
    )
    const results = JSON.parse(stdout.slice(stdout.indexOf('[{'))) as {
      filePath: string
      messages: { ruleId: string }[]
    }[]
    for (const { filePath, messages } of results)
      found.set(
        path.relative(workshop, filePath),
        messages.map((m) => m.ruleId),
      )
  } finally {
    rmSync(workshop, { recursive: true, force: true })
  }
}, 120_000)

test.each([
  ['a component cannot be imported into the core', 'src/core/zz-component.ts', 'boundaries/dependencies'],
  ['the core cannot import the data layer', 'src/core/zz-data.ts', 'boundaries/dependencies'],
  ['the core imports no package of the outside world', 'src/core/zz-package.ts', 'no-restricted-imports'],
  ['the core is given the time and random numbers', 'src/core/zz-clock.ts', 'no-restricted-properties'],
  ['the core knows no window', 'src/core/zz-clock.ts', 'no-restricted-globals'],
  ['a feature cannot import another feature', 'src/features/today/zz-feature.ts', 'boundaries/dependencies'],
  ['the shared pieces cannot reach into a feature', 'src/ui/zz-feature.ts', 'boundaries/dependencies'],
])('%s', (_, file, rule) => {
  expect(found.get(file)).toContain(rule)
})

test('what is allowed passes', () => {
  expect(found.get('src/features/today/zz-allowed.ts')).toEqual([])
})
