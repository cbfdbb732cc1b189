import { useState } from "react";
import type { ClientWorkOrderCommand } from "@mechanon/core";
import { sendCommand } from "../../sync/give";

const MOST = 50;

/** Gives commands to a work order, and takes the last ones back one by one. */
export function useUndo(workOrderId: string): {
  canUndo: boolean;
  /** @param back - what takes it back. */
  act: (command: ClientWorkOrderCommand, back: ClientWorkOrderCommand) => void;
  undo: () => void;
} {
  const [done, setDone] = useState<readonly ClientWorkOrderCommand[]>([]);
  return {
    canUndo: done.length > 0,
    act: (command, back) => {
      sendCommand(workOrderId, command);
      setDone((before) => [...before, back].slice(-MOST));
    },
    undo: () => {
      const last = done.at(-1);
      if (!last) return;
      sendCommand(workOrderId, last);
      setDone(done.slice(0, -1));
    },
  };
}
