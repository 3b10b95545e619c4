/** Where what is typed is meant for what has the focus, and never for the board behind it. */
export const TAKES_KEYS =
  'input, textarea, [contenteditable], [role="dialog"], [role="combobox"], [role="listbox"], [role="menu"]'
