export const ROLES = ['curator', 'seniorKeeper', 'keeper', 'volunteer', 'vet', 'reader'] as const
export type Role = (typeof ROLES)[number]

export const EVERYONE: readonly Role[] = ROLES
/** Those who answer for the house. */
export const CURATORS: readonly Role[] = ['curator']
export const SENIORS: readonly Role[] = ['curator', 'seniorKeeper']
export const KEEPERS: readonly Role[] = [...SENIORS, 'keeper']
export const KEEPERS_AND_VET: readonly Role[] = [...KEEPERS, 'vet']
/** Those who do the walk. */
export const HANDS: readonly Role[] = [...KEEPERS, 'volunteer']
export const WRITERS: readonly Role[] = [...HANDS, 'vet']
