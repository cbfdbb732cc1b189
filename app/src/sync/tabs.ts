/** What one tab tells the others of the same person: the line is another, or a work order is. */
export type TabNews = { kind: "line" } | { kind: "view"; id: string } | { kind: "photos" };

type Listener = (news: TabNews) => void;
let channel: { name: string; port: BroadcastChannel } | null = null;

/** Listens to the other tabs of a person, and to nobody else's any more. */
export function listenToTabs(personId: string, listener: Listener): void {
  const name = `mechanon-${personId}`;
  if (channel?.name === name || typeof BroadcastChannel === "undefined") return;
  channel?.port.close();
  const port = new BroadcastChannel(name);
  // Only tabs of this app speak here.
  port.onmessage = ({ data }: MessageEvent<TabNews>) => listener(data);
  channel = { name, port };
}

export function tellTabs(news: TabNews): void {
  channel?.port.postMessage(news);
}

export function leaveTabs(): void {
  channel?.port.close();
  channel = null;
}

/**
 * Does something while no other tab of the same name does.
 * Where the browser has no locks (an insecure address), each tab is its own.
 */
export async function alone(name: string, work: () => Promise<void>): Promise<void> {
  if (typeof navigator === "undefined" || !("locks" in navigator)) return work();
  await navigator.locks.request(name, work);
}
