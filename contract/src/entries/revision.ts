/** The header in which the caller says up to which revision it knows the folds and kinds of fact. Without it the
 * answer is what pages knew before any said so. */
export const REVISION_HEADER = 'kobrin-revision'
