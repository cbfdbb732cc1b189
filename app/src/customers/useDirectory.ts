import { useQuery } from "@tanstack/react-query";
import { readPhone } from "@mechanon/core";
import { routes, type Parsed } from "@mechanon/contract";
import { call } from "../api/call";

export type DirectoryFound = NonNullable<Parsed<typeof routes.lookUpPhone.answer>["entry"]>;

/** What the phone directory says about a number nobody here knows: offered, never forced. Silent when it does not answer. */
export function useDirectory(phone: string): DirectoryFound | null {
  const number = readPhone(phone)?.number;
  const { data } = useQuery({
    queryKey: ["directory", number],
    queryFn: () => call(routes.lookUpPhone, { params: { phone: number ?? "" } }),
    enabled: number !== undefined,
    retry: false,
    staleTime: Infinity,
  });
  return data?.entry ?? null;
}
