import { createContext, useCallback, useContext, useEffect, useId, useMemo, useRef, useState } from "react";
import { Button, type ButtonProps } from "../ui/Button";

/** The act of a section, as the foot of its sheet shows it. */
type ShownAct = Pick<ButtonProps, "label" | "onPress" | "busy" | "disabled" | "testID">;

/** Where acts of a section go: the last one that came is at the foot. */
export interface Foot {
  shownId: string | null;
  put: (id: string, act: ShownAct | null) => void;
}

/** `beside`: another section's act stands at the foot; undefined: there is no sheet. */
export const FootSlot = createContext<Foot | "beside" | undefined>(undefined);

/** The foot of a sheet. @returns what its sections put there; null: nothing. */
export function useFoot(): { foot: Foot; act: ShownAct | null } {
  const [acts, setActs] = useState<readonly { id: string; act: ShownAct }[]>([]);
  const put = useCallback((id: string, act: ShownAct | null): void => {
    setActs((before) => {
      const place = before.findIndex((each) => each.id === id);
      if (act === null) return before.filter((each) => each.id !== id);
      return place < 0 ? [...before, { id, act }] : before.with(place, { id, act });
    });
  }, []);
  const shown = acts.at(-1);
  const shownId = shown?.id ?? null;
  const foot = useMemo(() => ({ shownId, put }), [shownId, put]);
  return { foot, act: shown?.act ?? null };
}

/**
 * The act of a section: lime at the foot of the sheet where it comes next, outlined in its place where another does.
 */
export function FootAct({ label, onPress, busy = false, disabled = false, testID }: ShownAct) {
  const id = useId();
  const slot = useContext(FootSlot);
  const press = useRef(onPress);
  useEffect(() => {
    press.current = onPress;
  });
  const put = typeof slot === "object" ? slot.put : undefined;
  useEffect(() => {
    put?.(id, { label, busy, disabled, testID, onPress: () => press.current() });
  }, [put, id, label, busy, disabled, testID]);
  useEffect(() => () => put?.(id, null), [put, id]);
  if (typeof slot === "object" && slot.shownId === id) return null;
  return (
    <Button
      kind={slot === undefined ? "next" : "plain"}
      label={label}
      onPress={onPress}
      busy={busy}
      disabled={disabled}
      testID={testID}
    />
  );
}
