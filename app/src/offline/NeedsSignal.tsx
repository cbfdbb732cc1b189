import { useReachable } from "../api/reachable";
import { Notice } from "../ui/Notice";

/**
 * Said beside an act that has to be settled with the server at once, before it is touched.
 * @param what - the act, as a sentence begins: "Saving the services".
 * @param isTyped - something is typed for it here, which stays.
 */
export function NeedsSignal({ what, isTyped = false }: { what: string; isTyped?: boolean }) {
  const isReachable = useReachable((state) => state.isReachable);
  if (isReachable) return null;
  return (
    <Notice kind="note" text={`${what} needs a signal.${isTyped ? " What you typed here is kept until then." : ""}`} />
  );
}
