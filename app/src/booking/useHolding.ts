import { useMutation } from "@tanstack/react-query";
import type { Spot } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem, errorWords } from "../api/problem";
import type { Slot } from "./slot";

/**
 * Holds the time that is picked for whoever picks it; without a signal it is picked all the same, and looked at when it is
 * booked.
 * @returns `fault`: somebody else has it.
 */
export function useHolding(
  heldFor: string,
  { latitude, longitude }: Spot,
): { hold: (slot: Slot) => void; fault: string | null } {
  const { mutate, error } = useMutation({
    mutationFn: ({ mechanicId, startsAt, endsAt }: Slot) =>
      call(routes.pickTime, { body: { heldFor, mechanicId, startsAt, endsAt, place: { latitude, longitude } } }),
    networkMode: "always",
  });
  return {
    hold: mutate,
    fault: error instanceof ApiProblem && error.problem.code === "time/taken" ? errorWords(error) : null,
  };
}
