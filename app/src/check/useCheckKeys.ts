import { useHotkeys } from "react-hotkeys-hook";
import { GRADES, type Finding } from "@mechanon/core";
import type { Check } from "./useCheck";

/** Keys of the check: 1 to 5 grade the point at hand, arrows move, z takes back. */
export function useCheckKeys(check: Check, findings: ReadonlyMap<string, Finding>): void {
  const { active } = check;
  useHotkeys(
    ["1", "2", "3", "4", "5"],
    ({ key }) => {
      const grade = GRADES[Number(key) - 1];
      if (active && grade) check.grade(active, { grade }, grade === "sound");
    },
    [check, active],
  );
  useHotkeys("down, e", () => check.next(), { preventDefault: true }, [check]);
  useHotkeys("z", () => check.undo?.(), [check, findings]);
}
