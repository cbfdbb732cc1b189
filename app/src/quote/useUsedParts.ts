import { useQuery } from "@tanstack/react-query";
import { routes, type UsedPart } from "@mechanon/contract";
import { call } from "../api/call";
import { useRight } from "../session/useSession";

const LEAST_LETTERS = 3;
const NONE: readonly UsedPart[] = [];

/** Parts used before whose names have the words; none without a signal, or for who may not see cost. */
export function useUsedParts(typed: string): readonly UsedPart[] {
  const seesCost = useRight("seeCost");
  const words = typed.trim().slice(0, 80);
  const { data } = useQuery({
    queryKey: ["usedParts", words.toLowerCase()],
    queryFn: () => call(routes.usedParts, { query: { words } }),
    enabled: seesCost && words.length >= LEAST_LETTERS,
    staleTime: 60_000,
    retry: false,
  });
  return data?.parts ?? NONE;
}
