/** Raised whenever folds keep something they did not keep before: what is stored of older ones is then told anew
 * from the entries. */
export const FOLD_REVISION = 3
