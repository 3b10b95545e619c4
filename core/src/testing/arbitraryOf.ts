import fc from 'fast-check'
import type * as z from 'zod/mini'

interface Bounds {
  minimum: number | undefined
  maximum: number | undefined
}

function boundsOf(checks: readonly { _zod: { def: object } }[] = []): Bounds & { step: number | undefined } {
  const bounds = { minimum: undefined, maximum: undefined, step: undefined } as Bounds & {
    step: number | undefined
  }
  for (const { _zod } of checks) {
    const def = _zod.def as {
      check: string
      value: number
      inclusive?: boolean
      minimum?: number
      maximum?: number
    }
    if (def.check === 'greater_than')
      bounds.minimum = def.inclusive === false ? def.value + Math.abs(def.value) * 1e-6 + 1e-3 : def.value
    if (def.check === 'less_than') bounds.maximum = def.value
    if (def.check === 'min_length') bounds.minimum = def.minimum
    if (def.check === 'max_length') bounds.maximum = def.maximum
    if (def.check === 'multiple_of') bounds.step = def.value
  }
  return bounds
}

const words = fc.constantFrom('a', 'Odd', 'So', 'crickets', 'Under the cork')
const uids = fc.nat(7).map((number) => `01900000-0000-7000-8000-00000000900${number}`)

function numbers(def: {
  checks?: readonly { _zod: { def: object } }[]
  format?: string
}): fc.Arbitrary<number> {
  const { minimum = 0, maximum = 1000, step } = boundsOf(def.checks)
  const whole =
    (def.checks ?? []).some(({ _zod }) => (_zod.def as { check: string }).check === 'number_format') ||
    def.format
  if (step !== undefined) return fc.integer({ min: minimum / step, max: maximum / step }).map((n) => n * step)
  if (whole) return fc.integer({ min: Math.ceil(minimum), max: Math.floor(Math.min(maximum, minimum + 400)) })
  return fc.double({ min: minimum, max: maximum, noNaN: true })
}

/** Values that a schema accepts, as far as kinds of fact make use of Zod: what is generated follows from
 * what may be recorded, so that a new kind is tested as soon as it is there. */
export function arbitraryOf(schema: z.ZodMiniType): fc.Arbitrary<unknown> {
  const { def } = (schema as unknown as { _zod: { def: Record<string, never> & { type: string } } })._zod
  switch (def.type) {
    case 'object': {
      const shape: Record<string, z.ZodMiniType> = def['shape'] as never
      const optional = Object.keys(shape).filter((key) => shape[key]?.def.type === 'optional')
      const requiredKeys = Object.keys(shape).filter((key) => !optional.includes(key))
      const inner = Object.entries(shape).map(([key, one]) => [key, arbitraryOf(one)] as const)
      return fc.record(Object.fromEntries(inner), { requiredKeys })
    }
    case 'optional':
    case 'default':
      return arbitraryOf(def['innerType'] as never)
    case 'nullable':
      return fc.option(arbitraryOf(def['innerType'] as never))
    case 'literal':
      return fc.constantFrom(...(def['values'] as unknown as unknown[]))
    case 'enum':
      return fc.constantFrom(...Object.values(def['entries'] as unknown as Record<string, string>))
    case 'boolean':
      return fc.boolean()
    case 'union':
      return fc.oneof(...(def['options'] as unknown as z.ZodMiniType[]).map(arbitraryOf))
    case 'array': {
      const { minimum = 0, maximum = 3 } = boundsOf(def['checks'])
      return fc.array(arbitraryOf(def['element'] as never), {
        minLength: minimum,
        maxLength: Math.min(maximum, minimum + 2),
      })
    }
    case 'record':
      return fc.dictionary(words, arbitraryOf(def['valueType'] as never), {
        maxKeys: 2,
        noNullPrototype: true,
      })
    case 'number':
      return numbers(def as never)
    case 'string':
      return schema.safeParse('01900000-0000-7000-8000-000000000000').success &&
        !schema.safeParse('a').success
        ? uids
        : words
    default:
      throw new Error(`Nothing is generated yet for a schema of type ${def.type}.`)
  }
}
