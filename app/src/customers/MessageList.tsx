import type { CustomerSheetView } from "@mechanon/contract";
import { Thread } from "../messages/Thread";
import { Words } from "../ui/Words";

/** What was said to and by them, newest first. */
export function MessageList({ messages }: { messages: CustomerSheetView["messages"] }) {
  if (messages.length === 0) return <Words tone="muted">Nothing was told or asked yet.</Words>;
  return <Thread messages={messages} />;
}
