import { useQuery } from "@tanstack/react-query";
import { readPhone, showPlace } from "@mechanon/core";
import { routes, type Parsed } from "@mechanon/contract";
import { call } from "../api/call";
import { Button } from "../ui/Button";

export type DirectoryFound = NonNullable<Parsed<typeof routes.lookUpPhone.answer>["entry"]>;

/** What the phone directory says about a number nobody here knows: offered, never forced. Silent when it does not answer. */
export function DirectoryOffer({ phone, onUse }: { phone: string; onUse: (entry: DirectoryFound) => void }) {
  const number = readPhone(phone)?.number;
  const { data } = useQuery({
    queryKey: ["directory", number],
    queryFn: () => call(routes.lookUpPhone, { params: { phone: number ?? "" } }),
    enabled: number !== undefined,
    retry: false,
    staleTime: Infinity,
  });
  const entry = data?.entry;
  if (!entry) return null;
  return <Button label={`Directory: ${entry.name}, ${showPlace(entry)}. Use it`} onPress={() => onUse(entry)} />;
}
