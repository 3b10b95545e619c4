import { Sheet } from '@kobrin/core'
import * as z from 'zod/mini'

/** What can be written at a place in a sheet. */
export interface SheetField {
  name: string
  required: boolean
}

type Schema = z.core.JSONSchema.BaseSchema

const SHEET = z.toJSONSchema(Sheet, { io: 'input', unrepresentable: 'any', reused: 'inline' })

/** Every shape that may stand where this one does. */
function shapesOf(schema: Schema): Schema[] {
  const others = [...(schema.anyOf ?? []), ...(schema.oneOf ?? []), ...(schema.allOf ?? [])]
  return [schema, ...others.flatMap((one) => shapesOf(one))]
}

function isSchema(one: unknown): one is Schema {
  return typeof one === 'object' && one !== null
}

/** Shapes of what stands under a field; in a list, of each of its items. */
function under(shapes: readonly Schema[], field: string): Schema[] {
  return shapes
    .map((shape) => shape.properties?.[field] ?? shape.additionalProperties)
    .filter(isSchema)
    .flatMap(shapesOf)
    .flatMap((shape) => [shape, ...[shape.items].flat().filter(isSchema).flatMap(shapesOf)])
}

function shapesAt(path: readonly string[]): Schema[] {
  return path.reduce(under, shapesOf(SHEET))
}

/** The fields that can be written at a place; the place is named by the fields it lies in, outermost first.
 * Lists are not counted. Empty where nothing is known. */
export function fieldsAt(path: readonly string[]): SheetField[] {
  const fields = new Map<string, SheetField>()
  for (const { properties, required } of shapesAt(path))
    for (const name of Object.keys(properties ?? {}))
      fields.set(name, { name, required: fields.get(name)?.required ?? required?.includes(name) ?? false })
  return [...fields.values()]
}

/** The words that can stand as the value of a field, where only some can. */
export function valuesAt(path: readonly string[]): string[] {
  const values = shapesAt(path).flatMap(({ enum: some, const: only, type }) => [
    ...(some ?? []),
    ...(only === undefined ? [] : [only]),
    ...(type === 'boolean' ? [true, false] : []),
  ])
  return [...new Set(values.map(String))]
}
