/** Raised whenever folds keep something they did not keep before, or otherwise: what is stored of older ones is then
 * folded again from the entries. A page says which revision it knows. */
export const FOLD_REVISION = 5

/** Of pages that do not say which revision they know: they were made before any did. */
export const UNSAID_REVISION = 3

/** Folds of this revision and before have another shape, and are told to today's pages, and today's to theirs, by
 * `fromRevision3` and `asRevision3`. Those since then lie as today's do, and only believe otherwise. */
export const OTHER_SHAPE_UNTIL = 3
