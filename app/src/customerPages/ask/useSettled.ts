import { useEffect, useState } from "react";

/** A value once it rests for a while; the first at once. @param value - compared by what it says. */
export function useSettled<Value extends object>(value: Value, restMs: number): Value {
  const [settled, setSettled] = useState(value);
  const said = JSON.stringify(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled((before) => (JSON.stringify(before) === said ? before : value)), restMs);
    return () => clearTimeout(timer);
    // What it says decides, not which object says it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [said, restMs]);
  return settled;
}
