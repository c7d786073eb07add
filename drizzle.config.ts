import { defineConfig } from 'drizzle-kit'

export default defineConfig({
  dialect: 'sqlite',
  schema: './src/data/store/schema/index.ts',
  out: './drizzle',
})
