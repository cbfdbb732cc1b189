/** Distances of words, to leave out in the database what is no near miss; a trusted extension of PostgreSQL's own. */
export const up = `create extension if not exists fuzzystrmatch;`;
