import type * as z from 'zod/mini'
import { lotFamily } from '../lots/lotFamily.ts'
import type { Role } from '../people/role.ts'
import { placeFamily } from '../places/placeFamily.ts'
import { residentFamily } from '../residents/residentFamily.ts'
import type { Folded } from './folded.ts'
import type { Happening, HouseKnown, Kind, Objection, Touch } from './kind.ts'

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

/** The family of subjects that a kind of entry is about; undefined for a kind that is not known here. */
export function familyOf(name: string): FamilyName | undefined {
  return kindNamed(name)?.family
}
