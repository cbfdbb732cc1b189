/** Every key of the app, with what it does; `?` lists them. */
export const KEYS = [
  { key: "d", does: "The day" },
  { key: "o", does: "Everything open" },
  { key: "n", does: "New work order" },
  { key: "f", does: "Find" },
  { key: "a", does: "The next act of the sheet" },
  { key: "j", does: "Add a job to the sheet" },
  { key: "b", does: "Book a visit for the sheet" },
  { key: "Esc", does: "Out of a field, so that letters are keys again" },
  { key: "?", does: "This list" },
] as const;
