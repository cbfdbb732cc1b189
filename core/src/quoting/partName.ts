/** What a part is called by itself: without quality, size and how it is sold. @example partName("Strut, sport") //=> "Strut" */
export function partName(description: string): string {
  const [name = ""] = description.split(/,|\(|\d/);
  return (
    name
      .replace(/\b(set|kit|assembly)\b/gi, "")
      .replace(/\s+/g, " ")
      .trim() || description.trim()
  );
}
