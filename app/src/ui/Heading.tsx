import { Words, type WordsProps } from "./Words";

/** A heading; level 1 once a screen. */
export function Heading({ level, ...rest }: WordsProps & { level: 1 | 2 | 3 }) {
  return (
    <Words
      role="heading"
      aria-level={level}
      strong
      size={level === 1 ? "title" : level === 2 ? "lead" : "body"}
      {...rest}
    />
  );
}
