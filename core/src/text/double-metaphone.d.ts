/** Types of the package, which ships none. */
declare module "double-metaphone" {
  /** The two likely sounds of a word, as letters. */
  export default function doubleMetaphone(word: string): [string, string];
}
