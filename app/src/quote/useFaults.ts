import { useCallback, useState } from "react";

/** Which fields hold something that does not fit. */
export function useFaults(): { hasFault: boolean; onFault: (label: string, isFault: boolean) => void } {
  const [faults, setFaults] = useState<ReadonlySet<string>>(new Set());
  const onFault = useCallback((label: string, isFault: boolean): void => {
    setFaults((before) => {
      if (before.has(label) === isFault) return before;
      const after = new Set(before);
      if (isFault) after.add(label);
      else after.delete(label);
      return after;
    });
  }, []);
  return { hasFault: faults.size > 0, onFault };
}
