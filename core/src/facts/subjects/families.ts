import type * as z from 'zod/mini'
import { lotFamily } from '../lots/lotFamily.ts'
import type { Role } from '../people/role.ts'
import { placeFamily } from '../places/placeFamily.ts'
import { residentFamily } from '../residents/residentFamily.ts'
import type { Folded } from './folded.ts'
import type { Happening, HouseKnown, Kind, Objection, Touch, Touched } from './kind.ts'

/** A kind of any payload: it was checked against its own where it was made. */
interface KindLike<S> extends Pick<Kind<S, unknown>, 'recordedBy' | 'founds' | 'since' | 'needsSheets'> {
  payload: z.ZodMiniType
  fold: (state: S, fact: Happening<never>) => S
  touches?: (payload: never) => Touch[]
  claims?: (payload: never) => string | undefined
  objects?: (payload: never, known: HouseKnown) => Objection | null
}

/** What a family of subjects is made of: its kinds of fact, its fold, and who may read it. */
export interface Family<S extends Folded> {
  kinds: Record<string, KindLike<S>>
  state: z.ZodMiniType<S>
  empty: () => S
  readBy: readonly Role[]
  /** Whether something of a subject may still come to pass, or is still to be seen to: what is closed is handed to a
   * screen only for a while, and then when it is asked for. Without it every subject stays open. */
  isOpen?: (state: S) => boolean
  /** Subjects that have to be at hand with an open one, though they are closed themselves. */
  needs?: (state: S) => readonly string[]
  /** What it hears of facts about others that touch one of its subjects, by how they do: folded like its own. */
  hears?: Readonly<Record<string, (state: S, fact: Happening<Touched>) => S>>
}

/** Every family of subjects with its kinds of fact. A new kind is a line in its family, a new family a
 * line here: schemas, rights, corrections and folds follow from it. */
export const FAMILIES = { resident: residentFamily, place: placeFamily, lot: lotFamily }

type Families = typeof FAMILIES
export type FamilyName = keyof Families
export type StateOf<F extends FamilyName> = ReturnType<Families[F]['empty']>

/** Every family's name. */
export const FAMILY_NAMES = Object.keys(FAMILIES) as [FamilyName, ...FamilyName[]]

type KindsOf<F extends FamilyName> = Families[F]['kinds']
type PayloadIn<K> = K extends Kind<never, infer P> ? P : never
type PayloadsOf<F extends FamilyName> = {
  [N in keyof KindsOf<F> & string]: KindsOf<F>[N] extends { payload: z.ZodMiniType<infer P> }
    ? P
    : PayloadIn<KindsOf<F>[N]>
}
type FactsOf<Payloads> = {
  [N in keyof Payloads & string]: Happening<Payloads[N]> & { kind: N }
}[keyof Payloads & string]

/** A statement about a subject of one family. */
export type FactAbout<F extends FamilyName> = FactsOf<PayloadsOf<F>>
/** A statement about a subject. */
export type Fact = { [F in FamilyName]: FactAbout<F> }[FamilyName]
export type FactKind = Fact['kind']
export type Payload<K extends FactKind> = Extract<Fact, { kind: K }>['payload']

/** A kind as it is known when it is not known which. */
export interface AnyKind extends Omit<Kind<Folded, unknown>, 'fold'> {
  name: FactKind
  family: FamilyName
  fold: (state: Folded, fact: Happening) => Folded
}

const KINDS: ReadonlyMap<string, AnyKind> = new Map(
  Object.entries(FAMILIES).flatMap(([family, { kinds }]) =>
    Object.entries(kinds).map(([name, kind]) => [name, { ...kind, name, family }]),
  ),
)

export const FACT_KINDS: readonly FactKind[] = [...KINDS.values()].map(({ name }) => name)

/** What is known of a kind that is named in the code. Throws on one that no family has. */
export function kindOf(name: FactKind): AnyKind {
  const kind = KINDS.get(name)
  if (!kind) throw new Error(`There is no kind of fact "${name}".`)
  return kind
}

/** What is known of a kind that an entry names; undefined for one that only a newer version knows. Such an entry
 * is kept and sent on, and what it means is asked of the server. */
export function kindNamed(name: string): AnyKind | undefined {
  return KINDS.get(name)
}

/** A family by its name, for states of its own. */
function familyNamed<F extends FamilyName>(family: F): Family<StateOf<F>> {
  return FAMILIES[family] as unknown as Family<StateOf<F>>
}

/** Whether something of a subject may still come to pass, or is still to be seen to. */
export function isOpen<F extends FamilyName>(family: F, state: StateOf<F>): boolean {
  return familyNamed(family).isOpen?.(state) ?? true
}

/** Families of which a subject may have need of others. */
export const NEEDING: readonly FamilyName[] = FAMILY_NAMES.filter((family) => familyNamed(family).needs)

/** Subjects that have to be at hand with an open one, though they are closed themselves. */
export function neededBy<F extends FamilyName>(family: F, state: StateOf<F>): readonly string[] {
  return familyNamed(family).needs?.(state) ?? []
}

type Hearer = (state: Folded, fact: Happening<Touched>) => Folded

// Anyone who asks for one has a state of the family in hand.
const HEARERS: ReadonlyMap<string, Hearer> = new Map(
  FAMILY_NAMES.flatMap((family) =>
    Object.entries(familyNamed(family).hears ?? {}).map(([how, hear]) => [
      `${family} ${how}`,
      hear as unknown as Hearer,
    ]),
  ),
)

/** How a family takes in that one of its subjects was touched by a fact about another; undefined where it does not ask
 * to hear of it. */
export function hearerOf(family: string, how: string): Hearer | undefined {
  return HEARERS.get(`${family} ${how}`)
}

/** Every way to be touched that some family hears of. */
export const HEARD: readonly string[] = [
  ...new Set(FAMILY_NAMES.flatMap((family) => Object.keys(familyNamed(family).hears ?? {}))),
]

/** The family of subjects that a kind of entry is about; undefined for a kind that is not known here. */
export function familyOf(name: string): FamilyName | undefined {
  return kindNamed(name)?.family
}
