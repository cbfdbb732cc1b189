import { useEffect, useRef, useState } from "react";

/** After a touch or a key for so long nothing may move. */
const CALM_MS = 700;

/** A value as it may be shown: what changes it waits until no thumb is on its way. */
export function useCalm<Value>(value: Value): Value {
  const [shown, setShown] = useState(value);
  const touchedAt = useRef(0);
  useEffect(() => {
    if (typeof document === "undefined") return;
    const touched = (): void => {
      touchedAt.current = Date.now();
    };
    window.addEventListener("pointerdown", touched, true);
    window.addEventListener("keydown", touched, true);
    return () => {
      window.removeEventListener("pointerdown", touched, true);
      window.removeEventListener("keydown", touched, true);
    };
  }, []);
  useEffect(() => {
    const wait = Math.max(0, touchedAt.current + CALM_MS - Date.now());
    const timer = setTimeout(() => setShown(value), wait);
    return () => clearTimeout(timer);
  }, [value]);
  return shown;
}
