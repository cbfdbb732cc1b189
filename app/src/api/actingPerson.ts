let personId: string | null = null;

/** @returns whose page this is; null: nobody's yet. */
export function actingPerson(): string | null {
  return personId;
}

/** Says whose page this is: the server refuses what it asks once somebody else is signed in in the browser. */
export function actFor(id: string | null): void {
  personId = id;
}
