import { readFileSync } from 'node:fs'
import openapiTS, { astToString } from 'openapi-typescript'
import { expect, test } from 'vitest'

test('the generated types are those of the committed schema', async () => {
  const schema = JSON.parse(readFileSync('../web/openapi.json', 'utf-8'))

  const generated = astToString(await openapiTS(schema))

  expect(readFileSync('src/api/schema.ts', 'utf-8')).toContain(generated.trim())
}, 20_000)
