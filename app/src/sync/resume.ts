import { actFor } from "../api/actingPerson";
import { ApiProblem, Unreachable } from "../api/problem";
import { openDevice } from "../device/device";
import type { DeviceDatabase } from "../device/deviceDatabase";
import { keepKey, unsealDevice } from "../device/seal";
import { emptyLine, readLine } from "./line";
import { readPhotos } from "./photos";
import type { KnownChange } from "./showsChange";
import type { KeptRecord } from "./sendKeptChange";
import { flush, stopSending, tellChanges } from "./sender";
import { useSync } from "./state";
import { listenToTabs, type TabNews } from "./tabs";
import { forgetViews, readView } from "./views";

/** Opens what a person left unsent on this device, in whichever tab, and goes on sending. */
export async function resumeSync(
  personId: string,
  changed: (changed: KnownChange) => void,
  record: (record: KeptRecord) => void = () => undefined,
): Promise<void> {
  tellChanges(changed, record);
  const before = useSync.getState().personId;
  if (before !== null && before !== personId) {
    stopSending();
    forgetViews();
    emptyLine();
  }
  actFor(personId);
  useSync.setState({ personId, halted: null, failures: 0 });
  const database = await openDevice(personId);
  useSync.setState({ keeping: database ? "kept" : "none" });
  listenToTabs(personId, hear);
  if (database) await unseal(database);
  await Promise.all([readLine(), readPhotos()]);
  await flush();
  // When it is known whether there is a connection.
  if (database) await keepKey(database).catch(ignoreUnreachable);
}

/** What was sealed at an earlier sign-out; without a connection it stays so until the next time. */
async function unseal(database: DeviceDatabase): Promise<void> {
  await unsealDevice(database).catch(ignoreUnreachable);
}

function ignoreUnreachable(error: unknown): void {
  if (!(error instanceof Unreachable) && !(error instanceof ApiProblem)) reportError(error);
}

/** What another tab of the same person did. */
function hear(news: TabNews): void {
  if (news.kind === "view") void readView(news.id);
  else if (news.kind === "photos") void readPhotos();
  // That tab may be gone before it has sent it.
  else void readLine().then(() => (useSync.getState().pending.length > 0 ? flush() : undefined));
}
