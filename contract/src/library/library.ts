import { coded, FaultCode, School, Sheet, SheetGroup } from '@kobrin/core'
import * as z from 'zod/mini'

export const SheetSummary = z.strictObject({
  id: z.string(),
  common: z.string(),
  latin: z.string(),
  otherNames: z.array(z.string()),
  group: SheetGroup,
  version: z.int(),
  /** Residents on it. */
  residents: z.int(),
  /** Fields in which the site's sheet and the shipped one differ. */
  differs: z.int(),
})
export type SheetSummary = z.infer<typeof SheetSummary>

export const SheetVersion = z.strictObject({
  version: z.int(),
  at: z.string(),
  by: z.nullable(z.uuid()),
  why: z.string(),
})
export type SheetVersion = z.infer<typeof SheetVersion>

/** One field that differs; absent on a side where it is not written. */
const Difference = z.strictObject({
  path: z.string(),
  before: z.optional(z.unknown()),
  after: z.optional(z.unknown()),
})

const chosen = z.record(z.string(), z.string())

export const LibrarySheet = z.strictObject({
  sheet: Sheet,
  yaml: z.string(),
  version: z.int(),
  history: z.array(SheetVersion),
  /** From the shipped sheet to the site's. */
  differences: z.array(Difference),
  /** The shipped sheet as YAML where it differs. */
  shippedYaml: z.nullable(z.string()),
  /** Chosen by the site for this sheet, by school. */
  schools: chosen,
})
export type LibrarySheet = z.infer<typeof LibrarySheet>

/** The schools of one sheet, and which the site chose. */
export const SheetSchools = z.strictObject({
  id: z.string(),
  common: z.string(),
  schools: z.array(School),
  chosen,
})
export type SheetSchools = z.infer<typeof SheetSchools>

export const KeepSheet = z.strictObject({
  yaml: z.string().check(z.minLength(1), z.maxLength(65_536)),
  why: z.string().check(z.trim(), z.minLength(1), z.maxLength(400)),
  /** The questions were read, and the values are meant. */
  confirmed: z._default(z.boolean(), false),
  /** The version this one was made from: somebody may have kept another since. */
  basedOn: z.optional(z.int()),
})
export type KeepSheet = z.output<typeof KeepSheet>

const id = z.string()

/** What is wrong with the text of a sheet, or with putting it in force here. */
const WhatIsWrong = z.discriminatedUnion('code', [
  FaultCode,
  /** What the reader of the text says of it. */
  coded('unread', { message: z.string() }),
  coded('tangled', {}),
  coded('otherSheet', { sheet: id, asked: id }),
  /** Residents live in a stage the sheet would no longer have; some of their names. */
  coded('stageInUse', { stage: id, names: z.array(z.string()), more: z.int() }),
  /** The site, or the resident of that name, is on an option the sheet would no longer have. */
  coded('optionInUse', { school: id, option: id, by: z.nullable(z.string()) }),
])

export const SheetFault = z.strictObject({
  line: z.nullable(z.int()),
  field: z.string(),
  what: WhatIsWrong,
})
export type SheetFault = z.infer<typeof SheetFault>

/** Kept; or not, with what is wrong; or asked about. The old version stays in force until it is kept. */
export const SheetAnswer = z.discriminatedUnion('status', [
  z.strictObject({ status: z.literal('kept'), version: z.int() }),
  z.strictObject({ status: z.literal('faulty'), faults: z.array(SheetFault) }),
  z.strictObject({ status: z.literal('asked'), questions: z.array(SheetFault) }),
  z.strictObject({ status: z.literal('overtaken'), version: z.int() }),
])
export type SheetAnswer = z.infer<typeof SheetAnswer>
