import { useState, type ReactNode } from "react";
import { Fold } from "./Fold";

/** @returns draws one part; `line` is what it says while it is folded. */
type DrawPart<Part extends string> = (part: Part, title: string, line: string, body: ReactNode) => ReactNode;

/**
 * The parts of a sheet, folded and unfolded by touch.
 * @param standing - those that stand open at first.
 */
export function useParts<Part extends string>(standing: ReadonlySet<Part>): DrawPart<Part> {
  const [open, setOpen] = useState(standing);
  return (part, title, line, body) => (
    <Fold
      key={part}
      title={title}
      line={line}
      open={open.has(part)}
      onToggle={() => {
        const next = new Set(open);
        if (!next.delete(part)) next.add(part);
        setOpen(next);
      }}
      testID={`part-${part}`}
    >
      {body}
    </Fold>
  );
}
