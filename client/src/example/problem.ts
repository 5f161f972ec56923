/** The example as the algebra's endpoints want it. */
import type { Schemas } from '@/api/client'
import type { Content } from '@/example/content'

export function problemOf(content: Content): Schemas['ProblemIn'] {
  const { task, given, form, numbers, lines, house } = content
  const variable = content.variable || null
  return { task, given, form: [...form], numbers, lines: [...lines], variable, house }
}
