import { createInterface } from 'node:readline'
import '@kobrin/contract/english'
import type { Computation } from '@kobrin/core'
import { computationsOver } from '@kobrin/core'
import { z } from 'zod'

/** Input that cannot be read, said in one line. */
export class BadInput extends Error {}

const OVER_SHEETS = new Set(['verdicts', 'bring-in'])

/** The shipped sheets take a moment to read: only where one is asked about. */
async function computationsFor(name?: string): Promise<readonly Computation[]> {
  if (name === undefined || !OVER_SHEETS.has(name)) return computationsOver(new Map())
  const { readLibrary } = await import('@kobrin/server/library')
  return computationsOver(new Map(readLibrary().map((sheet) => [sheet.id, sheet])))
}

async function named(name: string): Promise<Computation> {
  const computations = await computationsFor(name)
  const found = computations.find((computation) => computation.name === name)
  if (found) return found
  throw new BadInput(
    `There is no computation "${name}". Known: ${computations.map((known) => known.name).join(', ')}.`,
  )
}

function messageOf(error: z.core.$ZodError): string {
  const issue = error.issues[0]
  return `${issue?.path.join('.') || 'input'}: ${issue?.message ?? 'cannot be read'}`
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new BadInput(`This is not JSON: ${error instanceof Error ? error.message : String(error)}`)
  }
}

/** Answers one JSON text with another. Throws BadInput naming the field. */
export function answer(computation: Computation, text: string): string {
  const read = computation.input.safeParse(parsed(text))
  if (!read.success) throw new BadInput(messageOf(read.error))
  return JSON.stringify(computation.run(read.data))
}

/** The same, but what is wrong becomes the answer: one line in, one line out. What is valid and still
 * cannot be answered is refused. */
export function answerLine(computation: Computation, text: string): string {
  try {
    return answer(computation, text)
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error)
    return JSON.stringify(error instanceof BadInput ? { error: reason } : { refused: true, reason })
  }
}

function schemaOf({ name, about, input, output }: Computation): string {
  const options = { unrepresentable: 'any', io: 'input' } as const
  return JSON.stringify(
    { name, about, input: z.toJSONSchema(input, options), output: z.toJSONSchema(output, options) },
    null,
    2,
  )
}

async function everything(stream: NodeJS.ReadableStream): Promise<string> {
  let text = ''
  for await (const chunk of stream) text += String(chunk)
  return text
}

export interface ComputeOptions {
  list?: boolean
  schema?: boolean
  lines?: boolean
}

function print(text: string): Promise<void> {
  return new Promise((resolve) => process.stdout.write(`${text}\n`, () => resolve()))
}

export async function compute(
  name: string | undefined,
  { list, schema, lines }: ComputeOptions,
): Promise<void> {
  if (list) return print((await computationsFor()).map((known) => known.name).join('\n'))
  if (!name) throw new BadInput('Name a computation, or ask for --list.')
  const computation = await named(name)
  if (schema) return print(schemaOf(computation))
  if (!lines) return print(answer(computation, await everything(process.stdin)))
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() !== '') await print(answerLine(computation, line))
  }
}
