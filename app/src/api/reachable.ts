import { create } from "zustand";

/** Whether the server answered when it was last asked; what asks tells it. */
export const useReachable = create<{ isReachable: boolean }>()(() => ({ isReachable: true }));

/** Tells whether the server answered. */
export function noteReach(isReachable: boolean): void {
  if (useReachable.getState().isReachable !== isReachable) useReachable.setState({ isReachable });
}
