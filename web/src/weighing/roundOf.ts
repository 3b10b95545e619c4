import * as z from 'zod/mini'
import { useStored } from '../kept/useStored.ts'

/** Whom a round is about: all who are due, those who were chosen from a list, or a bay by its name. */
export const DUE = 'due'
export const CHOSEN = 'chosen'

/** The round that is open on this screen. */
export const roundOf = useStored<string>('kobrin.round', z.string(), DUE, { storage: sessionStorage })
