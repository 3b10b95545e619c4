/** Raised whenever folds keep something they did not keep before, or otherwise: what is stored of older ones is then
 * folded again from the entries. A page says which revision it knows. */
export const FOLD_REVISION = 4

/** Of pages that do not say which revision they know: they were made before any did. */
export const UNSAID_REVISION = 3
