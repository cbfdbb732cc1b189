import { useState, type ReactNode } from "react";
import { scrollToTop } from "../ui/scrollIntoView";
import { Fold } from "../ui/Fold";
import type { SheetSection } from "./section";

/**
 * The sections of a sheet, folded and unfolded by touch.
 * @returns `draw`: draws some of them, in their order; `open`: unfolds one and brings it into sight.
 */
export function useSections(): {
  draw: (sections: readonly SheetSection[]) => ReactNode;
  open: (name: string) => void;
} {
  const [chosen, setChosen] = useState<Readonly<Record<string, boolean>>>({});
  return {
    open: (name) => {
      setChosen((before) => ({ ...before, [name]: true }));
      scrollToTop(`section-${name}`);
    },
    draw: (sections) =>
      sections.map(({ name, title, line, standsOpen = false, body }) => {
        // What there is to act on may only now have come: it stands open until it was folded.
        const isOpen = chosen[name] ?? standsOpen;
        return (
          <Fold
            key={name}
            title={title}
            line={line}
            open={isOpen}
            onToggle={() => setChosen((before) => ({ ...before, [name]: !isOpen }))}
            testID={`section-${name}`}
          >
            {isOpen ? body() : null}
          </Fold>
        );
      }),
  };
}
